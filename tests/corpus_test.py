"""Real drawings: Debian's openclipart-svg. Each is read, planned and checked by `inspect`; none may crash or hang, and its
bounds agree with those that svgelements, which is not ours, finds. DOTLANE_CORPUS=all takes all 8,121 of them instead
of a sample; figures are printed, times among them, for a person to look at."""
import concurrent.futures
import io
import json
import math
import os
import pathlib
import random
import re
import subprocess
import sys
import tempfile
import time

import svgelements as se

from bounds import memory
from cli_run import check, cli, finish, guard

folder = pathlib.Path("/usr/share/openclipart/svg")
if not folder.is_dir():
    folder = pathlib.Path("/usr/share/openclipart")
MM = 25.4 / 96
# Where svgelements is wrong and librsvg, which draws no further than the page, cannot tell: looked at one by one.
EXPLAINED = {
    "bass_guitar_a.j._ashton_": "copies of copies: svgelements places them by the outer one's transform alone",
    "barcode_ean13": "the same; librsvg has our bounds, the digits with them",
    "barcode_upca": "the same",
    "joypad_the_mad_processor_": "svgelements takes the viewBox a pixel off",
    "pen_sek_": "the same",
    "network_cloud_david_klan_01": "arcs under a shear: svgelements' are other ellipses",
    "man_crystal_felipe_macie_01": "the same",
    "robot_ganson": "svgelements knows no clip paths; librsvg has our bounds",
    "tramway_lumen_design_stu_01": "the same",
    "route_jakob_chaosinfa_": "the same",
    "finland": "something lies two kilometres off, which is left out and told",
}
drawings = sorted(folder.rglob("*.svg"))
if os.environ.get("DOTLANE_CORPUS") != "all":
    count = 60 if os.environ.get("DOTLANE_SANITIZED") else 300
    drawings = random.Random(18).sample(drawings, count)


def drawn(element):
    """The parts of a shape that have a length: a point has no line to cut."""
    parts = [se.Path(part) for part in se.Path(element).as_subpaths()] if isinstance(element, se.Path) else [element]
    boxes = [part.bbox(transformed=True) for part in parts]
    boxes = [b for b in boxes if b and math.hypot(b[2] - b[0], b[3] - b[1]) > 0.004]
    return (min(b[0] for b in boxes), min(b[1] for b in boxes), max(b[2] for b in boxes), max(b[3] for b in boxes)) if boxes else None


def theirs(source, points=True):
    """The bounds of what is drawn, mm, without strokes; None where svgelements cannot say."""
    try:
        svg = se.SVG.parse(source, ppi=96, reify=False)
    except Exception:
        return None
    box = None
    for element in svg.elements():
        if not isinstance(element, se.Shape) or element.values.get("visibility") == "hidden" or element.values.get("display") == "none":
            continue
        try:
            found = element.bbox(transformed=True) if points else drawn(element)
        except Exception:
            return None
        if found is None or not all(map(math.isfinite, found)):
            continue
        box = found if box is None else (min(box[0], found[0]), min(box[1], found[1]), max(box[2], found[2]), max(box[3], found[3]))
    return None if box is None else [v * MM for v in box]


def resolved(path, points=True):
    """The same of what librsvg makes of it: transforms, viewports, copies and styles carried out."""
    done = subprocess.run(["rsvg-convert", "-f", "svg", "--unlimited", str(path)], capture_output=True, text=True, timeout=guard)
    return theirs(io.StringIO(re.sub(r"<defs>.*?</defs>", "", done.stdout, flags=re.S)), points) if done.stdout else None


def look(path):
    began = time.monotonic()
    try:
        done = subprocess.run([cli, "inspect", str(path), "--json"], capture_output=True, text=True, timeout=guard, preexec_fn=memory(6))
    except subprocess.TimeoutExpired:
        return path, "hangs", None, None, guard
    took = time.monotonic() - began
    if done.returncode not in (0, 1, 2):
        return path, f"ends with {done.returncode}: {done.stderr[-300:]}", None, None, took
    if done.returncode == 2:
        return path, None, done.stderr.strip(), None, took
    report = json.loads(done.stdout)
    return path, None, None, (report["bounds_mm"] if report["lines"] else None, report), took


# All of them one by one, so that the times are those of a machine that does nothing else.
with concurrent.futures.ThreadPoolExecutor(1 if len(drawings) > 1000 else os.cpu_count()) as pool:
    looked = list(pool.map(look, drawings))
refused = [(path, line) for path, _, line, _, _ in looked if line]
for path, fault, *_ in looked:
    check(f"{path.name}: {fault}", not fault)
for path, line in refused:
    check(f"{path.name}: refused with {line!r}", path.name in line and "\n" not in line)
times = sorted(took for *_, took in looked)


def compare(entry):
    """Whether the bounds agree; None where there is nothing to compare with."""
    path, ours = entry
    drawing = path.read_bytes()
    if b"<text" in drawing or b"<flowRoot" in drawing:
        # svgelements sets no text (svg_text_test.py judges ours), and draws its frames: both read the drawing without.
        with tempfile.TemporaryDirectory() as place:
            path = pathlib.Path(place) / path.name
            path.write_bytes(re.sub(rb"<(text|flowRoot)\b.*?</\1>", b"", drawing, flags=re.S))
            ours = (look(path)[3] or (None,))[0]
            return judged(path, ours) if ours else None
    return judged(path, ours)


def judged(path, ours):
    def same(want):
        return want and all(abs(a - b) <= 0.05 + 2e-3 * max(want[2] - want[0], want[3] - want[1]) for a, b in zip(ours, want))

    want = theirs(str(path))
    # svgelements takes some viewBoxes a pixel off, and draws what is hidden or unpainted: librsvg has the last word.
    return None if want is None else (bool(same(want) or same(resolved(path)) or same(theirs(str(path), False)) or same(resolved(path, False))), want)


said = [(path, *told) for path, _, _, told, _ in looked if told and told[0]]
with concurrent.futures.ProcessPoolExecutor(os.cpu_count()) as pool:
    verdicts = list(pool.map(compare, [(path, ours) for path, ours, _ in said], chunksize=8))
compared = sum(v is not None for v in verdicts)
agree = sum(bool(v and v[0]) for v in verdicts)
differ = [(path, [round(v, 2) for v in ours], [round(v, 2) for v in verdict[1]], [f["code"] for f in report.get("findings", [])])
          for (path, ours, report), verdict in zip(said, verdicts) if verdict and not verdict[0]]
for path, ours, want, codes in differ:
    print(f"differs: {path.relative_to(folder)}: {ours} ours, {want} theirs {codes}: {EXPLAINED.get(path.stem, 'unexplained')}")
for path, line in refused:
    print("refused:", line)
slowest = sorted(looked, key=lambda entry: -entry[-1])[:5]
print("slowest: " + ", ".join(f"{entry[0].name} {entry[-1]:.2f} s" for entry in slowest))
check(f"bounds agree on {agree} of {compared}", agree >= 0.98 * compared and compared > len(drawings) / 2)
check(f"{len(refused)} of {len(drawings)} were refused", len(refused) <= len(drawings) / 500)
finish(f"{len(drawings)} drawings: {len(refused)} refused, bounds agree on {agree} of {compared}; "
       f"median {times[len(times) // 2]:.2f} s, p99 {times[int(0.99 * len(times))]:.2f} s, worst {times[-1]:.2f} s")
