"""Exports read by readers that are not ours: HPGL by hp2xx, SVG by svgelements and librsvg, PDF by poppler, PNG by its size."""
import json
import pathlib
import re
import struct
import subprocess
import sys
import tempfile

import svgelements as se

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
demo = root / "demo/lighthouse-card.dotlane"
faults = []


def run(*words, ok=(0,)):
    done = subprocess.run([str(w) for w in words], capture_output=True, text=True)
    if done.returncode not in ok:
        faults.append(f"{words}: exit {done.returncode}: {done.stderr}")
    return done.stdout


def check(what, good):
    if not good:
        faults.append(what)


FOUR_INKS = """<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="150mm" viewBox="0 0 200 150" fill="none">
<rect x="12.3" y="20.1" width="110.7" height="71.9" rx="5" stroke="#444444"/><path d="M30 30 C60 10 80 60 110 35" stroke="#101010"/>
<circle cx="60" cy="60" r="14.5" stroke="#1f6f78"/><path d="M20 50 h40" stroke="#e8d21c"/><path d="M20 60 q20 20 40 0" stroke="#9c5a2e"/></svg>"""

with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    svg, project = folder / "inks.svg", folder / "inks.dotlane"
    svg.write_text(FOUR_INKS)
    run(cli, "import", svg, "-o", project, "--role", "#1f6f78=draw", "--role", "#444444=cut:blade")
    plan = json.loads(run(cli, "plan", project, "--json"))
    check("four inks and a cut make five passes", len(plan["passes"]) == 5)
    check("two holders make two pauses of them", plan["pauses"] == 2)
    check("the cut comes last", plan["passes"][-1]["role"] == "cut" and plan["passes"][-1]["tool"] == "blade")
    bounds = json.loads(run(cli, "inspect", project, "--json"))["bounds_mm"]

    # hp2xx turns the stream into PostScript-like coordinates of its own; its SVG holds them in 1/72 in... read as drawn.
    hpgl, drawn = folder / "inks.hpgl", folder / "inks-hp2xx.svg"
    run(cli, "export", project, "-o", hpgl)
    run("hp2xx", "-q", "-t", "-m", "svg", "-f", drawn, hpgl)
    numbers = [(float(x), float(y)) for x, y in re.findall(r"[ML]\s*(-?[\d.]+)\s*,\s*(-?[\d.]+)", drawn.read_text())]
    check("hp2xx read the stream", len(numbers) > 100)
    mm = 25.4 / 72
    for axis, (low, high) in enumerate([(bounds[0], bounds[2]), (bounds[1], bounds[3])]):
        extent = (max(n[axis] for n in numbers) - min(n[axis] for n in numbers)) * mm
        check(f"HPGL extent {extent:.3f} mm, drawing {high - low:.3f} mm", abs(extent - (high - low)) <= 0.05)
    # Where things lie, so that a stream turned over would not pass: the yellow line, 40 mm long, alone has two ends only.
    ends = re.findall(r"M\s*(-?[\d.]+)\s*,\s*(-?[\d.]+)\s*L\s*(-?[\d.]+)\s*,\s*(-?[\d.]+)", drawn.read_text())
    left, top = min(n[0] for n in numbers), min(n[1] for n in numbers)
    wanted = [20 - bounds[0], 50 - bounds[1], 60 - bounds[0], 50 - bounds[1]]
    found = [[(float(v) - (left if i % 2 == 0 else top)) * mm for i, v in enumerate(e)] for e in ends]
    near = [e for e in found if all(abs(a - b) < 0.06 for a, b in zip(e, wanted)) or all(abs(a - b) < 0.06 for a, b in zip(e[2:] + e[:2], wanted))]
    check(f"the yellow line is where it was drawn: {wanted}", near)
    check("one SP for each pass", hpgl.read_text().count("SP") == 6)

    # SVG: the lengths of each pass, by an independent reader.
    out = folder / "job.svg"
    run(cli, "export", demo, "-o", out)
    job = json.loads(run(cli, "plan", demo, "--json"))
    parsed = se.SVG.parse(str(out), ppi=25.4)
    check("the SVG states the mat's size", abs(float(parsed.width) - 304.8) < 0.01)
    groups = {g.id: g for g in parsed.select(lambda e: isinstance(e, se.Group)) if g.id}
    for p in job["passes"]:
        group = groups.get(f"pass-{p['index']}")
        check(f"group for pass {p['index']}", group is not None)
        length = sum(se.Path(e).length(error=1e-5) for e in group.select(lambda e: isinstance(e, se.Shape))) if group else 0
        check(f"pass {p['index']}: SVG {length:.2f} mm, plan {p['length_mm']:.2f} mm", abs(length - p["length_mm"]) <= 1e-3 * p["length_mm"])
    run("rsvg-convert", out, "-o", folder / "job.png")

    # Exported SVG comes in again at the same size, with the same lengths.
    back = json.loads(run(cli, "inspect", out, "--json"))
    check("SVG comes back", abs(back["totals"]["length_mm"] - sum(p["length_mm"] for p in job["passes"])) < 0.5)

    # PDF: one page a sheet, true scale.
    pdf = folder / "job.pdf"
    run(cli, "export", demo, "-o", pdf)
    info = run("pdfinfo", "-f", "1", "-l", "2", pdf)
    pages = re.findall(r"size:\s+([\d.]+) x ([\d.]+) pts", info)
    check(f"two pages: {info}", len(pages) == 2)
    for (w, h), (sw, sh) in zip(pages, [(276, 118), (280, 145)]):
        check(f"page {w} x {h} pt for a sheet of {sw} x {sh} mm", abs(float(w) * 25.4 / 72 - sw - 20) < 0.3 and abs(float(h) * 25.4 / 72 - sh - 20) < 0.3)
    run("pdftocairo", "-svg", "-f", "1", "-l", "1", pdf, folder / "page.svg")
    page = se.SVG.parse(str(folder / "page.svg"), ppi=96, reify=True)
    widths = [e.bbox()[2] - e.bbox()[0] for e in page.select(lambda e: isinstance(e, se.Path)) if e.bbox()]
    card = 254 / 25.4 * 96
    check("the card's blank is 254 mm wide on paper", any(abs(w - card) < 0.05 / 25.4 * 96 for w in widths))

    # PNG: pixels for millimetres.
    png = folder / "sheet.png"
    run(cli, "export", demo, "-o", png, "--sheet", "1", "--per-mm", "4")
    check("PNG of sheet 1 at 4 px a mm", struct.unpack(">II", png.read_bytes()[16:24]) == (1104, 472))

    # One pass alone, and the dry run.
    one = folder / "cut.hpgl"
    run(cli, "export", demo, "-o", one, "--pass", len(job["passes"]))
    check("one pass has no pause", "pause" not in one.read_text() and one.read_text().count("SP") == 2)
    dry = json.loads(run(cli, "dry-run", demo, "--json", "--picture-dir", folder / "pictures"))
    check("dry run done", dry["outcome"] == "done" and dry["pauses"] == job["pauses"])
    for tool in {p["tool"] for p in job["passes"]}:
        planned = sum(p["length_mm"] for p in job["passes"] if p["tool"] == tool)
        check(f"{tool} marked {dry['marked_mm'].get(tool)} of {planned}", abs(dry["marked_mm"].get(tool, 0) - planned) <= 2e-3 * planned)
    check("dry run takes as long as planned", abs(dry["seconds"] - job["running_seconds"]) < 0.01 * job["running_seconds"])
    check("a picture for each sheet", len(list((folder / "pictures").glob("*.png"))) == 2)
    check("the demo has nothing to settle", all(f["severity"] == "info" for f in json.loads(run(cli, "check", demo, "--json"))["findings"]))
print("\n".join(faults) or "every export agrees with its independent reader")
sys.exit(1 if faults else 0)
