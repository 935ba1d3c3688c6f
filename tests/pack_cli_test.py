"""Packing by the command line: what comes out is read and measured by svgelements and Shapely, which are not ours."""
import json
import struct
import zlib
import pathlib
import random
import tempfile

import svgelements as se
from shapely.affinity import rotate, translate
from shapely.geometry import Polygon, box

from cli_run import check, finish, report, root, run

LAMP = "M0 0 h40 v12 h-14 v50 h-12 v-50 h-14 z"
RING = "M60 0 h60 v60 h-60 z M72 12 v36 h36 v-36 z"


def drawing(bodies):
    return f'<svg xmlns="http://www.w3.org/2000/svg" width="600mm" height="600mm" viewBox="0 0 600 600" fill="none" stroke="#22433a">{bodies}</svg>'


def outlines(path):
    """Of each sheet's group, id and polygon (in the sheet's own mm) of every path."""
    out = {}
    for sheet in se.SVG.parse(str(path), reify=False).select(lambda e: isinstance(e, se.Group) and str(e.id).startswith("sheet-")):
        for item in sheet:
            if not isinstance(item, se.Path):
                continue
            rings = []
            for sub in se.Path(item.d(transformed=False)).as_subpaths():
                points = []
                for segment in se.Path(sub):
                    if isinstance(segment, se.Move):
                        continue
                    steps = 1 if isinstance(segment, (se.Line, se.Close)) else 60
                    points += [segment.point((i + 1) / steps) for i in range(steps)]
                rings.append(Polygon([(p.x, p.y) for p in points]).buffer(0))
            shape = rings[0]
            for other in rings[1:]:
                shape = shape.symmetric_difference(other)
            out.setdefault(int(sheet.id.split("-")[1]), []).append((item.id, shape))
    return out


with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    source, packed = folder / "parts.svg", folder / "packed.svg"
    chance = random.Random(20)
    bodies = f'<path id="lamp" d="{LAMP}"/><path id="ring" d="{RING}"/><circle id="moon" cx="200" cy="60" r="45"/>'
    for i in range(24):
        w, h = chance.uniform(20, 120), chance.uniform(15, 60)
        bodies += f'<rect id="card{i}" x="{130 * (i % 4)}" y="{150 + 65 * (i // 4)}" width="{w:.2f}" height="{h:.2f}"/>'
    source.write_text(drawing(bodies))
    result = report("pack", source, "--sheet", "200x292mm", "--gap", "2mm", "--turns", "15", "--seconds", "2", "--seed", "1", "-o", packed)
    ids = {"lamp", "ring", "moon"} | {f"card{i}" for i in range(24)}
    check("every outline is a part, by its own id", {p["id"] for p in result["parts"]} == ids and len(result["parts"]) == 27)
    check("nothing waits", result["waiting"] == [])
    check("it takes at least as long as asked", result["seconds"] > 1.5)
    sheets = outlines(packed)
    check("one group a sheet", sorted(sheets) == list(range(1, result["sheets"] + 1)))
    room = box(0, 0, 200, 292).buffer(0.01)
    area = 0
    for sheet, parts in sheets.items():
        for i, (name, shape) in enumerate(parts):
            area += shape.area
            check(f"{name} lies on its sheet", room.contains(shape))
            for other, beside in parts[i + 1:]:
                check(f"{name} and {other} on sheet {sheet} are {shape.distance(beside):.3f} mm apart", shape.distance(beside) >= 1.99)
    # The density, worked out once more.
    last = [s.bounds for _, s in sheets[result["sheets"]]]
    used = (result["sheets"] - 1) * 200 * 292 + (max(b[2] for b in last) - min(b[0] for b in last)) * (max(b[3] for b in last) - min(b[1] for b in last))
    check(f"density {result['density']}, measured {area / used:.4f}", abs(area / used - result["density"]) < 0.02)
    # Turned about the origin counter-clockwise as seen, then moved: the figures lead to where the part is.
    lamp = Polygon([(0, 0), (40, 0), (40, 12), (26, 12), (26, 62), (14, 62), (14, 12), (0, 12)])
    told = next(p for p in result["parts"] if p["id"] == "lamp")
    moved = translate(rotate(lamp, -told["turn_deg"], origin=(0, 0)), told["dx_mm"], told["dy_mm"])
    found = next(s for name, s in sheets[told["sheet"]] if name == "lamp")
    check("turn and shift lead to the place", moved.symmetric_difference(found).area < 0.5)
    ring = next(s for parts in sheets.values() for name, s in parts if name == "ring")
    check("a hole stays a hole", abs(ring.area - (60 * 60 - 36 * 36)) < 0.1)
    again = report("pack", source, "--sheet", "200x292mm", "--seconds", "0", "--seed", "1", "-o", folder / "a.svg")
    same = report("pack", source, "--sheet", "200x292mm", "--seconds", "0", "--seed", "1", "-o", folder / "b.svg")
    check("the same seed gives the same packing", again["parts"] == same["parts"] and (folder / "a.svg").read_bytes() == (folder / "b.svg").read_bytes())
    inches = report("pack", source, "--sheet", "12x12in", "--turns", "none", "--seconds", "0", "-o", folder / "in.svg")
    check("inches are inches", inches["sheets"] >= 1 and all(p["turn_deg"] == 0 for p in inches["parts"]))
    small = report("pack", source, "--sheet", "100x100mm", "--seconds", "0", "-o", folder / "small.svg", expect=1)
    check("what is larger than the sheet waits and is named", any(name.startswith("card") for name in small["waiting"]))
    for words, what in [
        (("--sheet", "12"), "--sheet"),
        (("--sheet", "0x9mm"), "--sheet"),
        (("--sheet", "200x200mm", "--turns", "many"), "--turns"),
        (("--sheet", "200x200mm", "--gap", "wide"), "--gap"),
        (("--sheet", "200x200mm", "--seconds", "-1"), "--seconds"),
        ((), "--sheet"),
    ]:
        done = run("pack", source, *words, "-o", folder / "no.svg", expect=2)
        check(f"{words} is refused by its name: {done.stderr}", what in done.stderr and done.stderr.count("\n") == 1)
    check("a refusal writes nothing", not (folder / "no.svg").exists())
    (folder / "open.svg").write_text(drawing('<path d="M0 0 h40"/>'))
    check("no outline is said", "outline" in run("pack", folder / "open.svg", "--sheet", "200x200mm", "-o", packed, expect=2).stderr)

    # A project: what lies where, then packed, saved, and read again.
    demo = root / "demo/fair-stall.dotlane"
    before = report("sheets", demo)
    parts = report("parts", demo)["parts"]
    check("every part is on a sheet", sorted(n for s in before["sheets"] for n in s["parts"]) == [p["number"] for p in parts])
    project = folder / "packed.dotlane"
    after = report("sheets", demo, "--pack", "--gap", "3mm", "--turns", "90", "--seconds", "1", "--seed", "2", "-o", project)
    check("packed, every part is on a sheet, none waits", sorted(n for s in after["sheets"] for n in s["parts"]) == [p["number"] for p in parts] and after["waiting"] == [])
    check("the density is a share", 0 < after["density"] <= 1)
    read = report("sheets", project, "--gap", "3mm")
    check("what is saved lies as it was said", read["sheets"] == after["sheets"])
    check("the figure has not moved", report("parts", project)["parts"] == parts)
    check("the same lengths are planned", abs(sum(p["length_mm"] for p in report("plan", project)["passes"]) - sum(p["length_mm"] for p in report("plan", demo)["passes"])) < 0.5)
    sizes = {s["id"]: s["area_mm"][2] * s["area_mm"][3] for s in json.loads(project.read_text())["sheets"]}
    for sheet in after["sheets"]:
        stock = [p for p in parts if p["number"] in sheet["parts"]]
        check("used is the parts' share of the sheet", abs(sheet["used"] - sum(p["area_mm2"] for p in stock) / sizes[sheet["sheet"]]) < 0.001)
    run("dry-run", project)

    # The gap is kept with the project; copies are made; what is left goes on the shelf.
    check("the gap is the project's", json.loads(project.read_text())["laying"] == {"gap_mm": 3.0, "turn_step_deg": 90.0})
    check("what is not asked for is as the project says", report("sheets", project)["sheets"] == after["sheets"])
    thrice = folder / "thrice.dotlane"
    made = report("sheets", demo, "--copies", "3", "--pack", "--seconds", "1", "--keep-offcuts", "-o", thrice)
    check("three of each lie on sheets", sorted(n for s in made["sheets"] for n in s["parts"]) == sorted(3 * [p["number"] for p in parts]))
    shelf = json.loads(thrice.read_text())["shelf"]
    check("every offcut is on the shelf", [s["size_mm"] for s in shelf] == [[float(v) for v in s["offcut_mm"]] for s in made["sheets"]])
    for words in (("--copies", "0"), ("--copies", "two")):
        check(f"{words} is refused", "--copies" in run("sheets", demo, *words, expect=2).stderr)

    # A photograph of a mat, 4 px a mm from straight above with a table of 40 px around it: an amber scrap of 120 x 90 mm.
    side, border = 1219, 40
    rows = bytearray()
    for y in range(side + 2 * border):
        rows.append(0)
        for x in range(side + 2 * border):
            mat = border <= x < border + side and border <= y < border + side
            scrap = border + 200 <= x < border + 680 and border + 160 <= y < border + 520
            rows += bytes((214, 152, 60) if scrap else (142, 176, 158) if mat else (90, 70, 52))
    def chunk(kind, data):
        return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))
    photo = folder / "mat.png"
    photo.write_bytes(b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", struct.pack(">IIBBBBB", side + 2 * border, side + 2 * border, 8, 2, 0, 0, 0)) + chunk(b"IDAT", zlib.compress(bytes(rows), 1)) + chunk(b"IEND", b""))
    corners = f"{border},{border} {border + side},{border} {border + side},{border + side} {border},{border + side}"
    kept = folder / "kept.dotlane"
    found = report("scraps", photo, "--corners", corners, "--project", demo, "--stock", "night-card", "-o", kept)["scraps"]
    check("one scrap is found", len(found) == 1)
    check(f"it has its size: {found}", all(abs(a - b) < 0.5 for a, b in zip(found[0]["size_mm"] + found[0]["at_mm"], [120, 90, 50, 40])))
    check("it is on the shelf", [s["stock"] for s in json.loads(kept.read_text())["shelf"]] == ["night-card"])
    for words, what in ((("--corners", "1,1 2,2 3,3 1,3"), "corners"), (("--corners", "1,1"), "--corners"), ((), "--corners"), (("--corners", corners, "--stock", "gold", "--project", demo, "-o", kept), "gold")):
        check(f"scraps {words} is refused by its name", what in run("scraps", photo, *words, expect=2).stderr)

finish("packed by the command line, measured by others")
