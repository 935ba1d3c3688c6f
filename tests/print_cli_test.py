"""What is printed before it is cut: its marks measured in the picture, its page by poppler, the cut against the print."""
import json
import pathlib
import subprocess
import tempfile

import numpy

from cli_run import check, finish, guard, report, root, run

badges = root / "demo/lantern-badges.dotlane"


def grey(pdf, per_mm):
    """The page's brightness as poppler renders it, rows from the top, and its size in mm."""
    raw = subprocess.run(["pdftoppm", "-gray", "-r", str(25.4 * per_mm), pdf], capture_output=True, check=True, timeout=guard).stdout
    kind, width, height, most, rest = raw.split(maxsplit=4)
    assert kind == b"P5" and most == b"255"
    rest = raw[len(raw) - int(width) * int(height):]
    return numpy.frombuffer(rest, numpy.uint8).reshape(int(height), int(width)), (int(width) / per_mm, int(height) / per_mm)


def dark_middle(image, per_mm, x, y, around):
    """The middle of what is nearly black around a place, mm, and how much of it there is, mm2."""
    x0, y0 = int((x - around) * per_mm), int((y - around) * per_mm)
    part = image[y0:int((y + around) * per_mm), x0:int((x + around) * per_mm)]
    dark = (255 - part.astype(float)) / 255
    ys, xs = numpy.mgrid[0:part.shape[0], 0:part.shape[1]]
    total = dark.sum()
    return ((xs * dark).sum() / total + 0.5 + x0) / per_mm, ((ys * dark).sum() / total + 0.5 + y0) / per_mm, total / per_mm**2


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    per_mm = 10
    picture, pdf = folder / "print.png", folder / "print.pdf"
    said = report("print", badges, "-o", pdf)
    check("one page", said["pages"] == 1)
    image, (width, height) = grey(pdf, per_mm)
    check(f"as large as the sheet: {width} x {height}", abs(width - 215.9) < 0.2 and abs(height - 279.4) < 0.2)
    width, height = 215.9, 279.4
    run("print", badges, "-o", picture, "--per-mm", per_mm)
    head = picture.read_bytes()[16:24]
    check("the picture as well", [int.from_bytes(head[k:k + 4], "big") for k in (0, 4)] == [2159, 2794])
    # As docs/print-marks.md has them: 15 mm from the edges, 5 mm across; a small one of 2.5 mm, 7 mm to the right.
    for x, y in ((15, 15), (width - 15, 15), (width - 15, height - 15), (15, height - 15)):
        mx, my, area = dark_middle(image, per_mm, x, y, 3.5)
        check(f"a dot at {x:.1f}, {y:.1f}: {mx:.2f}, {my:.2f}", abs(mx - x) < 0.06 and abs(my - y) < 0.06)
        check(f"5 mm across: {area:.2f} mm2", abs(area - numpy.pi * 2.5**2) < 0.4)
    mx, my, area = dark_middle(image, per_mm, 22, 15, 2)
    check(f"the small dot: {mx:.2f}, {my:.2f}, {area:.2f} mm2", abs(mx - 22) < 0.06 and abs(my - 15) < 0.06 and abs(area - numpy.pi * 1.25**2) < 0.2)
    # Bleed: 1.5 mm beyond the cut of the first badge there is print, 2.5 mm beyond there is none.
    cx, cy = width / 2 - 56, height / 2 - 76.5
    at = lambda x, y: image[int(y * per_mm), int(x * per_mm)]
    check("print goes on beyond the cut", all(at(cx + dx * 26, cy + dy * 26) < 160 for dx, dy in ((-1, 0), (0, -1))))
    check("and ends", all(at(cx + dx * 27, cy + dy * 27) > 240 for dx, dy in ((-1, 0), (0, -1))))
    info = subprocess.run(["pdfinfo", pdf], capture_output=True, text=True, timeout=guard).stdout
    check(f"the page is 8.5 x 11 in: {info}", "612 x 792" in info)

    # The simulated cutter finds the marks wherever the sheet lies, and cuts on the print.
    worst = 0.0
    for seed in range(1, 6):
        ran = report("dry-run", badges, "--seed", seed)
        sheet = ran["printed"][0]
        worst = max(worst, sheet["off_print_mm"]["max"])
        check(f"seed {seed}: it lies elsewhere {sheet['lies']}", abs(sheet["lies"]["turn_deg"]) > 0.01)
        check("and is found so", abs(sheet["lies"]["turn_deg"] - sheet["found"]["turn_deg"]) < 0.02)
        check(f"the cut is on the print: {sheet['off_print_mm']}", 0 < sheet["off_print_mm"]["max"] < 0.1)
    print(f"at most {worst:.3f} mm off the print")
    again = report("dry-run", badges, "--seed", 5)
    check("the same seed, the same run", again == ran)

    # Asked of what is not printed, it says so, and Second look offers to print it.
    project = json.loads(badges.read_text())
    project["sheets"][0]["printed"] = False
    plain = folder / "plain.dotlane"
    plain.write_text(json.dumps(project))
    refused = run("print", plain, "-o", pdf, expect=2)
    check("nothing is printed first", "no sheet is printed first" in refused.stderr)
    findings = report("check", plain)["findings"]
    check(f"second look asks: {findings}", any(f["code"] == "print-missing" and f["severity"] == "warning" for f in findings))
    refused = run("print", badges, "-o", folder / "print.txt", expect=2)
    check("only what can be written", ".pdf or a .png" in refused.stderr)
    # Something printed over a mark: the run would not find it.
    project = json.loads(badges.read_text())
    project["pieces"][0]["placement"][4] -= 22
    project["pieces"][0]["placement"][5] -= 30
    near = folder / "near.dotlane"
    near.write_text(json.dumps(project))
    findings = report("check", near, expect=1)["findings"]
    check(f"a mark that is covered is an error: {[f['code'] for f in findings]}", any(f["code"] == "print-on-marks" for f in findings))

finish("what is printed is where its marks say, and is cut there")
