"""`inspect` against independent readers: svgelements (parsing, units) and shapely (lengths, areas). What svgelements
does not follow in the SVG standard (symbol viewports, aspect of nested svg, percentages) is first resolved by librsvg.

Every element of every file in tests/data/svg is measured both ways; sizes, lengths, areas and bounds agree to 0.1 %.
"""
import io
import json
import math
import pathlib
import re
import subprocess
import sys

import svgelements as se
from shapely.geometry import LineString, Point
from shapely.ops import polygonize, unary_union

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
MM = 25.4 / 96
STEPS = 400
RESOLVED_BY_LIBRSVG = {"05_use_symbol.svg", "06_nested_svg_aspect.svg", "10_units_inside.svg"}


def chains(shape):
    """The subpaths as chains of points in mm, with whether they are closed. The matrix is applied point by point."""
    path, matrix = se.Path(shape.segments(transformed=False)), shape.transform
    out, current, closed = [], [], False

    def mm(p):
        q = matrix.point_in_matrix_space(p)
        return (q.x * MM, q.y * MM)

    def finish():
        if len(current) > 1 and LineString(current).length > 0:
            ends_meet = math.dist(current[0], current[-1]) <= 0.001
            out.append((list(current), closed or ends_meet))

    for seg in path:
        if isinstance(seg, se.Move):
            finish()
            current, closed = [mm(seg.end)], False
            continue
        if isinstance(seg, se.Close):
            if seg.end is not None:
                current.append(mm(seg.end))
            closed = True
            finish()
            current, closed = [current[-1]], False
            continue
        n = 1 if isinstance(seg, se.Line) else STEPS
        for i in range(1, n + 1):
            current.append(mm(seg.point(i / n)))
    finish()
    return out


def winding(ring, p):
    """How often the ring goes around p (Sunday's crossing test)."""
    count = 0
    for (x0, y0), (x1, y1) in zip(ring, ring[1:] + ring[:1]):
        side = (x1 - x0) * (p[1] - y0) - (p[0] - x0) * (y1 - y0)
        if y0 <= p[1] < y1 and side > 0:
            count += 1
        elif y1 <= p[1] < y0 and side < 0:
            count -= 1
    return count


def area(rings, even_odd):
    if not rings:
        return 0
    edges = unary_union([LineString(r + [r[0]]) for r in rings])
    total = 0
    for face in polygonize(edges):
        p = face.representative_point()
        turns = [winding(r, (p.x, p.y)) for r in rings]
        if sum(abs(t) for t in turns) % 2 if even_odd else sum(turns):
            total += face.area
    return total


def near(a, b, scale=None):
    return abs(a - b) <= 1e-3 * max(abs(a), abs(b), scale or 0) + 1e-6


faults, files, elements = [], 0, 0
for file in sorted((root / "tests/data/svg").glob("*.svg")):
    done = subprocess.run([cli, "inspect", str(file), "--json"], capture_output=True, text=True)
    if done.returncode:
        faults.append(f"{file.name}: exit {done.returncode}: {done.stderr}")
        continue
    ours = json.loads(done.stdout)
    # svgelements sets no text; svg_text_test.py judges ours.
    ours["lines"] = [line for line in ours["lines"] if not line["id"].startswith("text-")]
    files += 1
    source = io.StringIO(file.read_text())
    if file.name in RESOLVED_BY_LIBRSVG:
        flat = subprocess.run(["rsvg-convert", "-f", "svg", str(file)], capture_output=True, text=True, check=True).stdout
        source = io.StringIO(re.sub(r"<defs>.*?</defs>", "", flat, flags=re.S))
    svg = se.SVG.parse(source, ppi=96, reify=False)
    if "no_size" not in file.name:  # svgelements has no size to give where the file states none
        for mine, theirs, what in zip(ours["size_mm"], (svg.width, svg.height), ("width", "height")):
            if not near(mine, float(theirs) * MM):
                faults.append(f"{file.name}: {what} {mine} mm, independent reader {float(theirs) * MM}")
    theirs = []
    for shape in svg.elements():
        if not isinstance(shape, se.Shape) or shape.values.get("visibility") == "hidden":
            continue
        parts = chains(shape)
        if not parts:
            continue
        style = shape.values.get("style") or ""
        even_odd = shape.values.get("fill-rule") == "evenodd" or "fill-rule:evenodd" in style
        points = [p for chain, _ in parts for p in chain]
        theirs.append({
            "contours": sum(closed for _, closed in parts),
            "open": sum(not closed for _, closed in parts),
            "length_mm": sum(LineString(c + [c[0]] if closed else c).length for c, closed in parts),
            "area_mm2": area([c for c, closed in parts if closed], even_odd),
            "bounds_mm": [min(x for x, _ in points), min(y for _, y in points), max(x for x, _ in points), max(y for _, y in points)],
        })
    if len(theirs) != len(ours["lines"]):
        faults.append(f"{file.name}: {len(ours['lines'])} lines, independent reader {len(theirs)}")
        continue
    for mine, other in zip(ours["lines"], theirs):
        elements += 1
        size = max(other["bounds_mm"][2] - other["bounds_mm"][0], other["bounds_mm"][3] - other["bounds_mm"][1])
        for key in ("contours", "open", "length_mm", "area_mm2"):
            if not near(mine[key], other[key]):
                faults.append(f"{file.name} {mine['id']}: {key} {mine[key]}, independent reader {other[key]}")
        for a, b in zip(mine["bounds_mm"], other["bounds_mm"]):
            if not near(a, b, size):
                faults.append(f"{file.name} {mine['id']}: bounds {mine['bounds_mm']}, independent reader {other['bounds_mm']}")
                break
print("\n".join(faults) or f"{elements} elements of {files} files agree to 0.1 %")
sys.exit(1 if faults or files < 15 or elements < 40 else 0)
