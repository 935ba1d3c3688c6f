"""The heron at 840 mm by the command line, from `fit` to `guide`; the guide's text is read by poppler."""
import html
import json
import pathlib
import re
import subprocess
import tempfile

from cli_run import check, finish, guard, report, root, run

with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    heron = json.loads((root / "demo/wading-heron.dotlane").read_text())
    scale = 840 / report("fit", root / "demo/wading-heron.dotlane")["size_today_mm"][1]
    ids = [piece["id"] for piece in heron["pieces"]]
    for piece in heron["pieces"]:
        piece["placement"] = [v * scale for v in piece["placement"]]
        piece["recipe"] = piece.get("recipe", []) + [{"id": 90, "kind": "trim-under", "on": True, "values": {"tuck": 5.0}}]
    # A backing of plain card behind all of it.
    heron["pieces"].append({"id": 99, "name": "Backing", "stock": "cover-80", "source": {"kind": "pieces"},
                            "placement": [1, 0, 0, 1, 0, 0],
                            "recipe": [{"id": 1, "kind": "join", "on": True, "values": {"with": ids}},
                                       {"id": 2, "kind": "offset", "on": True, "values": {"by": 3.0, "contours": "outer"}}]})
    for item in heron["shelf"]:
        if "count" in item:
            item["count"] = 9
    large, split, packed = folder / "large.dotlane", folder / "split.dotlane", folder / "packed.dotlane"
    large.write_text(json.dumps(heron))

    big = report("fit", large)
    check(f"the backing stops it: {big['limited_by']}", big["limited_by"].startswith("Backing") and big["scale_max"] < 1)
    divided = report("split", large, "-o", split)["parts"]
    check(f"the backing alone is divided: {divided}", len(divided) == 1 and divided[0]["fits"] and divided[0]["tiles"] >= 3)
    check("its seams hide for the most part", divided[0]["visible_seam_mm"] < 0.5 * divided[0]["seam_mm"])
    check("then it may be as large as it is", report("fit", split)["scale_max"] >= 0.9999)
    sheets = report("sheets", split, "--pack", "--seconds", "2", "-o", packed)
    check(f"nothing waits: {sheets.get('waiting')}", not sheets.get("waiting"))
    ran = report("dry-run", packed)
    check("the rehearsal marks something", ran)

    pdf, pages = folder / "guide.pdf", folder / "guide"
    said = report("guide", packed, "-o", pdf)
    run("guide", packed, "-o", pages)
    text = subprocess.run(["pdftotext", "-layout", pdf, "-"], capture_output=True, text=True, timeout=guard).stdout
    parts = report("parts", packed)["parts"]
    stocks = {p["number"]: p["stock"] for p in parts}
    listed = [p["number"] for step in said["steps"] for p in step["parts"]]
    check("every part once", sorted(listed) == sorted(p["number"] for p in parts) and len(set(listed)) == len(listed))
    check("the back layer comes first", said["steps"][0]["name"] == "Backing" and said["steps"][0]["in_tiles"])
    by_sheet = {entry["index"]: set(entry["parts"]) for entry in sheets["sheets"]}
    for step in said["steps"]:
        for part in step["parts"]:
            for sheet in part["sheets"]:
                check(f"part {part['number']} lies on sheet {sheet}", part["number"] in by_sheet[sheet])
            card = next(stock["name"] for stock in heron["stocks"] if stock["id"] == stocks[part["number"]])
            line = (rf"(?<!\d){part['number']} +{re.escape(part['name'])}, {re.escape(card)}, "
                    rf"from sheet {', '.join(map(str, part['sheets']))}(?!\d)")
            check(f"{line} stands in the text once", len(re.findall(line, text)) == 1)
    page = text.split("\f")
    for index, numbers in by_sheet.items():
        own = [p for p in page if p.lstrip().startswith(f"Sheet {index}:")]
        check(f"sheet {index} has a page", len(own) == 1)
        seen = {int(n) for n in re.findall(r"(?<![\w.])\d+(?![\w.])", own[0].split("\n", 1)[1])} if own else set()
        check(f"its numbers are those on the sheet: {numbers - seen} missing", numbers <= seen)
    check("the tiles are joined face down first", sum("face down" in p.split("\n")[0] for p in page) == 1)
    index = html.unescape((pages / "index.html").read_text())
    check("the folder says the same", all(f"{p['number']}  {p['name']}, " in index for s in said["steps"] for p in s["parts"]))
    check("it has a picture for every page", len(list(pages.glob("page-*.png"))) == said["pages"] == len(page) - 1)
    top = report("guide", packed, "-o", pdf, "--top-first")
    check("or the top layer first", [s["name"] for s in top["steps"]] == [s["name"] for s in reversed(said["steps"])])
    # The poster: as many pages as the figure asks for, a part on each that has one, and the check line is 50 mm long.
    poster = report("guide", packed, "-o", pdf, "--poster")
    width, height = report("fit", packed)["size_today_mm"]
    room, step = (210 - 28, 297 - 28), (200 - 28, 287 - 28)
    check(f"pages across and down: {poster}", poster["pages_across"] == -(-(width - 10) // step[0])
          and poster["pages_down"] == -(-(height - 10) // step[1]))
    poster_text = subprocess.run(["pdftotext", "-layout", pdf, "-"], capture_output=True, text=True, timeout=guard).stdout.split("\f")[:-1]
    check("as many as there are, but for empty ones", len(poster_text) <= poster["pages_across"] * poster["pages_down"])
    check("each is called by its place", all(re.match(r"\s*[A-Z]\d", p) for p in poster_text))
    seen = {int(n) for p in poster_text for n in re.findall(r"^\s*(\d+)\s*$|(?<=\s)(\d+)(?=\s)", p, re.M) for n in n if n}
    check("all numbers stand on it", set(listed) <= seen)
    subprocess.run(["pdftoppm", "-r", "254", "-gray", "-f", "1", "-l", "1", "-singlefile", pdf, folder / "first"], check=True, timeout=guard)
    data = (folder / "first.pgm").read_bytes()
    wide, high = map(int, re.match(rb"P5\s+(\d+)\s+(\d+)", data).groups())
    pixels = data[-wide * high:]
    longest = max(max(map(len, re.findall(rb"[\x00-\x90]+", pixels[y * wide:(y + 1) * wide])), default=0)
                  for y in range(int(high - 130), high - 60))
    check(f"the check line is {longest / 10} mm long", abs(longest - 500) <= 4)
    nothing = folder / "nothing.svg"
    nothing.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="30mm" viewBox="0 0 30 30"/>')
    check("nothing to put together", "no part" in run("guide", nothing, "-o", pdf, expect=2).stderr)
    check("a file is wanted", "-o" in run("guide", packed, expect=2).stderr)

finish("the guide lists every part once")
