"""`shape fill` against Debian's python3-shapely: lengths, ink and what stays bare, and what it refuses."""
import math
import pathlib
import tempfile

from shapely import affinity
from shapely.geometry import LineString, Polygon
from shapely.ops import unary_union
from svgelements import SVG, Path as SvgPath

from cli_run import check, finish, report, run

HOLED = '<path id="shape" d="M10 10 H70 V50 H10 Z M30 20 V40 H50 V20 Z" stroke="#111" fill="none"/>'
holed = Polygon([(10, 10), (70, 10), (70, 50), (10, 50)], [[(30, 20), (30, 40), (50, 40), (50, 20)]])


def svg(folder, body, name="in.svg"):
    path = pathlib.Path(folder) / name
    path.write_text(f'<svg xmlns="http://www.w3.org/2000/svg" width="90mm" height="60mm" viewBox="0 0 90 60">{body}</svg>')
    return path


def strokes_in(path):
    """Every open stroke of the written file, as points in mm."""
    out = []
    for element in SVG.parse(str(path), ppi=25.4).elements():
        if not isinstance(element, SvgPath):
            continue
        for sub in element.as_subpaths():
            points = [(s.end.x, s.end.y) for s in sub if s.end is not None]
            out.append(points)
    return out


def hatch_length(shape, angle, spacing):
    """All lines of that angle and spacing through the origin, clipped one by one."""
    turned = affinity.rotate(shape, angle, origin=(0, 0))  # y down: counter-clockwise as seen is negative here
    low, high = turned.bounds[1], turned.bounds[3]
    total = 0.0
    for k in range(math.floor(low / spacing), math.ceil(high / spacing) + 1):
        total += turned.intersection(LineString([(-500, k * spacing), (500, k * spacing)])).length
    return total


with tempfile.TemporaryDirectory() as folder:
    out = pathlib.Path(folder) / "out.svg"
    file = svg(folder, HOLED)
    for angle, spacing in ((0, 0.7), (20, 0.5), (63, 1.3)):
        said = report("shape", "fill", file, "--pattern", "hatch", "--angle", angle, "--spacing", f"{spacing}mm", "--inset", "0.4mm",
                      "--shortest", "0", "--tip", "0.3mm", "-o", out)
        # Shrunk, the outline's corners stay sharp and the hole's come out round.
        inner = Polygon(Polygon(holed.exterior).buffer(-0.4, join_style=2).exterior).difference(
            Polygon(holed.interiors[0]).buffer(0.4, resolution=400))
        want = hatch_length(inner, angle, spacing)
        check(f"hatch at {angle}: {said['length_mm']} against {want}", abs(said["length_mm"] - want) < 1e-4 * want)
        written = [s for s in strokes_in(out) if len(s) == 2]
        check(f"hatch at {angle}: as many strokes as reported", len(written) == said["strokes"] == said["lifts"])
        ink = unary_union([LineString(s).buffer(0.15, resolution=16) for s in written])
        check("coverage", abs(said["coverage"] - ink.intersection(holed).area / holed.area) < 0.005)
        check("nothing outside", said["outside_mm2"] < 0.01 and said["unfilled"] == [])
        check("the largest gap lies between strokes or at the edge", 0.3 < said["largest_gap_mm"] < 0.4 + spacing)
        check("it takes time", said["seconds"] > said["length_mm"] / 200)
    joined = report("shape", "fill", file, "--pattern", "zigzag", "--spacing", "0.5mm", "--join", "3mm", "-o", out)
    check("joined ends lift less", joined["lifts"] <= 4)
    for pattern in ("cross", "contour", "spiral", "grid", "rules", "dots", "stipple"):
        said = report("shape", "fill", file, "--pattern", pattern, "--spacing", "2mm", "--tip", "0.5mm", "--seed", "3", "-o", out)
        check(f"{pattern}: strokes, lifts, coverage", said["strokes"] > 0 and said["lifts"] == said["strokes"] and 0 < said["coverage"] < 1)
    # A bar that the hatch runs along and misses is named.
    bars = svg(folder, '<rect id="thin" x="5" y="5.1" width="60" height="0.3" stroke="#111" fill="none"/>'
                       '<rect id="wide" x="5" y="20" width="60" height="20" stroke="#111" fill="none"/>', "bars.svg")
    said = report("shape", "fill", bars, "--angle", "0", "--spacing", "1mm", "--inset", "0.1mm", "-o", out)
    check("the thin bar is named", said["unfilled"] == ["thin"])
    said = report("shape", "fill", bars, "--angle", "90", "--spacing", "1mm", "--inset", "0.1mm", "--shortest", "0", "-o", out)
    check("across, none is", said["unfilled"] == [])
    one = svg(folder, '<path id="open" d="M5 5 H50" stroke="#111" fill="none"/>', "open.svg")
    said = report("shape", "fill", one, "-o", out)
    check("an open line is reported", any("open" in t for t in said["trouble"]) and said["strokes"] == 0)
    for words in (["--spacing", "0"], ["--spacing", "banana"], ["--tip", "0"], ["--pattern", "plaid"], ["--angle", "900"], ["--inset", "-1mm"],
                  ["--tip", "thick"]):
        done = run("shape", "fill", file, *words, "-o", out, expect=2)
        check(f"{words}: one line", done.stderr.count("\n") == 1)
    text = run("shape", "fill", file, "--tip", "0.3mm", "-o", out).stdout
    check("words for people", "strokes" in text and "covers" in text)
finish("fills agree")
