"""PDF and PostScript in: files that cairo writes (by librsvg) of our own exports, whose SVG other tests hold against other
readers; a page of several; text as outlines; damaged files refused in one line."""
import pathlib
import random
import shutil
import subprocess
import tempfile

from cli_run import check, finish, report, root, run

chance = random.Random(182)


def figures(file, *words):
    said = report("inspect", file, *words, expect=None)
    x0, y0, x1, y1 = said["bounds_mm"]
    return [x1 - x0, y1 - y0], sum(line["length_mm"] for line in said["lines"]), [f["code"] for f in said["findings"]]


files = 0
with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    pdfs = []
    for demo in sorted((root / "demo").glob("*.dotlane")):
        svg = folder / (demo.stem + ".svg")
        run("export", demo, "-o", svg)
        want, length, _ = figures(svg)
        kinds = ["pdf", "ps", "eps"] if len(pdfs) % 4 == 0 and shutil.which("gs") else ["pdf"]
        for kind in kinds:
            file = folder / f"{demo.stem}.{kind}"
            subprocess.run(["rsvg-convert", "--unlimited", "-f", kind, "-o", file, svg], check=True, capture_output=True)
            size, found, codes = figures(file)
            files += 1
            check(f"{file.name}: {size}, as SVG {want}", abs(size[0] - want[0]) < 0.05 and abs(size[1] - want[1]) < 0.05)
            check(f"{file.name}: length {found:.2f}, as SVG {length:.2f}", abs(found - length) < 2e-3 * length + 0.1)
            check(f"{file.name}: its size is stated: {codes}", "size-assumed" not in codes)
        pdfs.append(folder / f"{demo.stem}.pdf")
    # Pages whose sides are no whole points: at their true size, in their place.
    for n in range(12):
        w, h = (210, 297) if n == 0 else (chance.uniform(30, 900), chance.uniform(30, 900))
        page = folder / "page.svg"
        page.write_text(f'<svg xmlns="http://www.w3.org/2000/svg" width="{w}mm" height="{h}mm" viewBox="0 0 {w} {h}">'
                        f'<rect x="5" y="5" width="{w - 10}" height="{h - 10}" fill="none" stroke="#000"/></svg>')
        subprocess.run(["rsvg-convert", "-f", "pdf", "-o", folder / "page.pdf", page], check=True)
        bounds = report("inspect", folder / "page.pdf", expect=None)["bounds_mm"]
        check(f"{w:.2f} x {h:.2f} mm: {bounds}", all(abs(a - b) < 0.02 for a, b in zip(bounds, (5, 5, w - 5, h - 5))))
    # A page of three.
    book = folder / "book.pdf"
    subprocess.run(["pdfunite", *pdfs[:3], book], check=True)
    for page in (1, 2, 3):
        size, length, codes = figures(book, "--page", page)
        alone, same, _ = figures(pdfs[page - 1])
        check(f"page {page}: {size} and alone {alone}; {codes}", abs(size[0] - alone[0]) < 0.01 and "pages-left-out" in codes)
    refused = run("inspect", book, "--page", 4, expect=2)
    check(f"page 4: {refused.stderr}", "book.pdf" in refused.stderr and "has 3" in refused.stderr)
    # Text comes as outlines.
    text = folder / "text.svg"
    text.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="20mm" viewBox="0 0 60 20">'
                    '<text x="5" y="15" font-size="12" font-family="DejaVu Sans">Fair</text></svg>')
    subprocess.run(["rsvg-convert", "-f", "pdf", "-o", folder / "text.pdf", text], check=True)
    size, length, codes = figures(folder / "text.pdf")
    check(f"text: {size}, {length:.1f} mm, {codes}", 15 < size[0] < 40 and 5 < size[1] < 15 and length > 60 and "text-left-out" not in codes)
    # Hostile files: one line that names the file.
    whole = pdfs[0].read_bytes()
    for n in range(12):
        file = folder / "hostile.pdf"
        bytes_ = bytearray(whole[: chance.randint(20, len(whole))])
        for _ in range(n * 20):
            bytes_[chance.randrange(8, len(bytes_))] = chance.randrange(256)
        file.write_bytes(bytes_)
        done = run("inspect", file, expect=None)
        check(f"hostile {n}: {done.returncode} {done.stderr}",
              done.returncode in (0, 1) or (done.returncode == 2 and "hostile.pdf" in done.stderr and done.stderr.count("\n") == 1))
    # A PostScript that would read other files gets none of them.
    if shutil.which("gs"):
        sly = folder / "sly.ps"
        sly.write_text("%!PS\n(/etc/passwd) (r) file 100 string readline pop 100 100 moveto show showpage\n")
        done = run("inspect", sly, expect=2)
        check(f"sly: {done.stderr}", "sly.ps" in done.stderr)
finish(f"{files} files by cairo come in as large as they went out")
