"""`split` by the command line, seen by Debian's python3-shapely: the tiles are the figure, each fits, seams are as long as is said."""
import math
import pathlib
import random
import re
import tempfile
from xml.etree import ElementTree

from shapely import affinity
from shapely.geometry import LineString, Point, Polygon
from shapely.ops import unary_union

from cli_run import check, finish, report, root, run

ROOM = 292


def svg(polygons, name):
    drawn = "".join(f'<path id="{name}{i}" fill-rule="evenodd" d="' + " ".join(
        "M" + " L".join(f"{x:.5f} {y:.5f}" for x, y in ring.coords[:-1]) + " Z"
        for ring in (p.exterior, *p.interiors)) + '"/>' for i, p in enumerate(polygons))
    return ('<svg xmlns="http://www.w3.org/2000/svg" width="1200mm" height="700mm" viewBox="0 0 1200 700" '
            f'fill="none" stroke="#444444">{drawn}</svg>')


def rounded(polygon):
    """As it is written down."""
    at = lambda ring: [(round(x, 5), round(y, 5)) for x, y in ring.coords]
    return Polygon(at(polygon.exterior), [at(r) for r in polygon.interiors])


def figure(chance):
    """A chain of ellipses with a limb or two, and a hole now and then."""
    places = [(150 + 170 * k, 330 + chance.uniform(-40, 40)) for k in range(5)]
    parts = [affinity.rotate(affinity.scale(Point(p).buffer(1, 24), chance.uniform(110, 150), chance.uniform(60, 130)),
                             chance.uniform(-20, 20)) for p in places]
    for _ in range(chance.randint(0, 2)):
        x, y = chance.choice(places)
        a = chance.uniform(0, 2 * math.pi)
        parts.append(LineString([(x, y), (x + 220 * math.cos(a), y + 220 * math.sin(a))]).buffer(chance.uniform(8, 20)))
    whole = unary_union(parts)
    if chance.random() < 0.4:
        whole = whole.difference(Point(places[2]).buffer(40))
    over = [Point(chance.choice(places)).buffer(chance.uniform(30, 80)) for _ in range(4)]
    return rounded(whole), rounded_all(unary_union(over))


def rounded_all(shape):
    return [rounded(p) for p in getattr(shape, "geoms", [shape])]


def tiles_in(file):
    """By id. Read as they stand in the file: straight lines in mm."""
    out = {}
    for element in ElementTree.parse(file).getroot().iter("{http://www.w3.org/2000/svg}path"):
        rings = [[(float(x), float(y)) for x, y in re.findall(r"[ML] (\S+) (\S+)", run_of_points)]
                 for run_of_points in element.get("d").split("Z") if run_of_points.strip()]
        shapes = sorted((Polygon(r) for r in rings), key=lambda p: -p.area)
        whole = shapes[0]
        for hole in shapes[1:]:
            whole = whole.difference(hole)
        out[element.get("id")] = whole
    return out


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    chance = random.Random(1560)
    drawing, upper, out = folder / "figure.svg", folder / "upper.svg", folder / "tiles.svg"
    for k in range(12):
        shape, over = figure(chance)
        drawing.write_text(svg([shape], "f"))
        upper.write_text(svg(over, "u"))
        said = report("split", drawing, "--sheet", "292x292mm", "--over", upper, "-o", out)
        tiles = tiles_in(out)
        check(f"{k}: {said['tiles']} tiles, {len(tiles)} paths", said["tiles"] == len(tiles) >= 3)
        off = unary_union(list(tiles.values())).symmetric_difference(shape).area / shape.area
        check(f"{k}: off by {off:.2e} of the area", off < 1e-6)
        for part in said["parts"]:
            tile = tiles[part["id"]]
            x0, y0, x1, y1 = affinity.rotate(tile, -part["turn_deg"], origin=(0, 0)).bounds
            check(f"{k}: {part['id']} is {x1 - x0:.2f} x {y1 - y0:.2f}", max(x1 - x0, y1 - y0) < ROOM + 0.02)
            check(f"{k}: {part['id']} is no sliver", not tile.buffer(-2.4).is_empty and tile.area >= 100)
        check(f"{k}: no slivers are said", said["slivers"] == 0)
        lines = [LineString([s["from_mm"], s["to_mm"]]) for s in said["seams"]]
        seam = sum(line.length for line in lines)
        seen = sum(line.difference(unary_union(over)).length for line in lines)
        check(f"{k}: seams of {seam:.2f}, {said['seam_mm']} said", abs(seam - said["seam_mm"]) < 0.1)
        check(f"{k}: {seen:.2f} in sight, {said['visible_seam_mm']} said", abs(seen - said["visible_seam_mm"]) < 0.1)
    shape, _ = figure(chance)
    drawing.write_text(svg([shape], "f"))
    plain = report("split", drawing, "--sheet", "292x292mm", "-o", out)
    check("nothing lies on it: all seams are seen", abs(plain["visible_seam_mm"] - plain["seam_mm"]) < 0.01)
    for kind in ("overlap", "tab", "dovetail"):
        said = report("split", drawing, "--sheet", "292x292mm", "--seam", kind, "--width", "8mm", "-o", out)
        tiles = list(tiles_in(out).values())
        more = sum(t.area for t in tiles) - shape.area
        check(f"{kind}: all fit", all(p["fits"] for p in said["parts"]))
        wanted = 8 * said["seam_mm"] if kind == "overlap" else 0
        check(f"{kind}: {more:.1f} mm2 more than the figure, {wanted:.1f} expected", abs(more - wanted) < 0.12 * wanted + 0.1)
        check(f"{kind}: together the figure", unary_union(tiles).symmetric_difference(shape).area < 0.02)

    whole = report("split", drawing, "--sheet", "1200x700mm", "-o", out)
    check("what fits stays whole", whole["tiles"] == 1 and whole["seam_mm"] == 0)
    text = run("split", drawing, "--sheet", "292x292mm", "-o", out).stdout
    check("text says the same", f"{plain['tiles']} tiles" in text)
    check("no sheet", "--sheet" in run("split", drawing, "-o", out, expect=2).stderr)
    check("no such seam", "dovetail" in run("split", drawing, "--sheet", "292x292mm", "--seam", "glue", "-o", out, expect=2).stderr)
    check("too small a sheet is told", "larger than the sheet" in run("split", drawing, "--sheet", "5x5mm", "-o", out, expect=1).stdout)
    nothing = folder / "nothing.svg"
    nothing.write_text(svg([], "n"))
    check("nothing to split", "no closed outline" in run("split", nothing, "--sheet", "292x292mm", "-o", out, expect=2).stderr)

finish("tiles agree with shapely")
