"""dot-lane-cli shape from file to file, against shapely and svgelements (Debian's python3-shapely, python3-svgelements)."""
import json
import math
import pathlib
import struct
import subprocess
import tempfile
import zlib

from shapely.geometry import Polygon, box
from shapely.ops import unary_union
from svgelements import SVG, Path as SvgPath, Shape

from cli_run import check, finish, report, root, run


def near(what, ours, theirs, relative=1e-4):
    check(f"{what}: {ours} against {theirs}", abs(ours - theirs) <= relative * max(abs(theirs), 1e-9))


def polygon(svg):
    """Everything drawn in a file as one polygon under even-odd, mm, read by svgelements."""
    out = Polygon()
    scale = 25.4 / 96
    for element in SVG.parse(str(svg), ppi=96).elements():
        if not isinstance(element, Shape):
            continue
        for part in SvgPath(element).as_subpaths():
            points = []
            for segment in SvgPath(part):
                n = 1 if type(segment).__name__ in ("Move", "Line", "Close") else 60
                points += [segment.point(i / n) for i in range(1, n + 1)] if segment.start is not None else [segment.end]
            ring = [(p.x * scale, p.y * scale) for p in points if p is not None]
            if len(ring) > 3:
                out = out.symmetric_difference(Polygon(ring).buffer(0))
    return out


with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    head = '<svg xmlns="http://www.w3.org/2000/svg" width="200mm" height="120mm" viewBox="0 0 200 120" fill="none" stroke="#222">'
    two = folder / "two.svg"
    two.write_text(head + '<path id="a" d="M20 20 H80 V70 H20 Z"/><path id="b" d="M60 40 L120 50 L90 100 Z"/></svg>')
    a, b = Polygon([(20, 20), (80, 20), (80, 70), (20, 70)]), Polygon([(60, 40), (120, 50), (90, 100)])
    out = folder / "out.svg"
    for word, want in (("join", a.union(b)), ("overlap", a.intersection(b)), ("cut-away", unary_union([a.difference(b), b]))):
        said = report("shape", word, two, "-o", out)
        near(f"{word}: the report's area", said["area_mm2"], want.area)
        if word != "cut-away":
            near(f"{word}: the file's area", polygon(out).area, want.area)
    near("divide keeps everything", report("shape", "divide", two, "-o", out)["area_mm2"], a.union(b).area)
    check("divide makes three fragments", report("shape", "divide", two, "-o", out)["lines"] == 3)

    for by, side, corners, style in ((3, "out", "round", 1), (2.5, "in", "round", 1), (3, "out", "mitre", 2), (3, "out", "bevel", 3)):
        said = report("shape", "offset", two, "--by", f"{by}mm", "--side", side, "--corners", corners, "--limit", 20, "--contours", "all",
                      "--merge", "yes", "-o", out)
        want = a.union(b).buffer(by if side == "out" else -by, join_style=style, mitre_limit=20, resolution=64)
        near(f"offset {side} {corners}", said["area_mm2"], want.area)
        near(f"offset {side} {corners}, in the file", polygon(out).area, want.area, 2e-4)
    inch = report("shape", "offset", two, "--by", "0.1in", "-o", out)
    near("lengths take units", inch["area_mm2"], a.union(b).buffer(2.54, resolution=64).area)
    near("each for itself", report("shape", "offset", two, "--by", "3", "--merge", "no", "-o", out)["area_mm2"],
         a.buffer(3, resolution=64).area + b.buffer(3, resolution=64).area)

    # Other drawings take part with --with.
    other = folder / "other.svg"
    other.write_text(head + '<circle id="c" cx="80" cy="60" r="20"/></svg>')
    disc = Polygon([(80 + 20 * math.cos(i * math.pi / 500), 60 + 20 * math.sin(i * math.pi / 500)) for i in range(1000)])
    said = report("shape", "cut-away", two, "--with", other, "-o", out)
    near("cut away with another drawing", said["area_mm2"], a.difference(disc).area + b.difference(disc).area)

    # Layers lie on each other in the order of the drawing.
    stack = folder / "stack.svg"
    stack.write_text(head + '<rect id="low" x="10" y="10" width="80" height="80"/><rect id="top" x="30" y="30" width="40" height="40"/></svg>')
    said = report("shape", "trim", stack, "--tuck", "2mm", "-o", out)
    near("trim saves what is hidden but for the tuck", said["removed_mm2"], 36 * 36, 0.002)
    check("trim has no line lost", said["lines"] == 2)

    said = report("shape", "simplify", root / "demo/art/lighthouse-card.svg", "--tolerance", "0.2mm", "-o", out)
    before = report("inspect", root / "demo/art/lighthouse-card.svg")
    check("simplify has no more nodes and all lines", said["lines"] == len(before["lines"]))
    small = folder / "small.svg"
    small.write_text(head + '<path id="a" d="M10 10 h50 v50 h-50 Z M70 70 h0.4 v0.4 h-0.4 Z"/></svg>')
    check("drop small", report("shape", "drop-small", small, "--under", "1mm", "-o", out)["contours"] == 1)
    check("a result of nothing is told by the exit code", report("shape", "drop-small", small, "--under", "99mm", "-o", out, expect=1)["lines"] == 0)

    # Bridges: the sheet around the openings is one piece, says shapely, and what is lost is what bridges cover.
    nest = folder / "nest.svg"
    nest.write_text(head + '<path id="n" fill-rule="evenodd" d="M10 10 h80 v80 h-80 Z M25 25 h50 v50 h-50 Z M35 35 h30 v30 h-30 Z M45 45 h10 v10 h-10 Z"/></svg>')
    said = report("shape", "bridge", nest, "--width", "1.5mm", "--per-island", "2", "-o", out)
    check(f"two islands, two bridges each: {said['bridges']}", said["islands"] == 2 and len(said["bridges"]) == 4)
    check("none thinner than asked", said["thinnest_mm"] >= 1.5 and not said["trouble"])
    strips = unary_union([box(b["x_mm"] - b["width_mm"] / 2, b["y_mm"] - b["length_mm"] / 2, b["x_mm"] + b["width_mm"] / 2,
                              b["y_mm"] + b["length_mm"] / 2) for b in said["bridges"]])  # all upright
    opening = box(10, 10, 90, 90) - box(25, 25, 75, 75) | box(35, 35, 65, 65) - box(45, 45, 55, 55)
    near("openings lose the bridges alone", said["area_mm2"], (opening - strips).area, 1e-4)
    sheet = box(0, 0, 100, 100) - (opening - strips.buffer(0.001, join_style=2))
    check("the sheet is one piece", sheet.geom_type == "Polygon")
    check("one for each", len(report("shape", "bridge", nest, "--per-island", "1", "-o", out)["bridges"]) == 2)
    # By hand: one at the left of the outer opening, as shares of the bounds.
    said = report("shape", "bridge", nest, "--width", "1.5mm", "--per-island", "1", "--set", "0.1,0.5", "-o", out)
    check(f"set by hand: {said['bridges']}", any(abs(b["x_mm"] - 17.5) < 0.01 and abs(b["y_mm"] - 50) < 0.01 for b in said["bridges"]))
    said = report("shape", "bridge", nest, "--width", "1.5mm", "--school", "mesh", "--mesh", "9mm", "--mesh-angle", "0", "-o", out)
    check("a mesh needs no bridges here", said["islands"] == 2 and not said["bridges"] and not said["trouble"])

    # Repeats: any two of number, distance and room give the third; the gap is that between the shapes, says shapely.
    def motif(name, d):
        path = folder / name
        path.write_text(f'<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40" fill="none" stroke="#222"><path id="m" d="{d}"/></svg>')
        return path
    def shapes_in(svg):
        scale = 25.4 / 96
        out = []
        for element in SVG.parse(str(svg), ppi=96).elements():
            if isinstance(element, Shape):
                path = SvgPath(element)
                points = [path.first_point] + [s.point(i / 40) for s in path if type(s).__name__ != "Move" for i in range(1, 41)]
                out.append(Polygon([(p.x * scale, p.y * scale) for p in points]).buffer(0))
        return out
    square = motif("square.svg", "M5 5 h15 v15 h-15 Z")
    said = report("shape", "repeat", square, "--across", "16", "--fill", "12x1in", "--edge", "wrap", "-o", out)
    near("16 of 15 mm across 12 in (common practice, no published source)", said["pitch_mm"], 304.8 / 16)
    said = report("shape", "repeat", square, "--pitch", "19.05mm", "--fill", "12x1in", "-o", out)
    check(f"as many by the distance: {said['count']}", said["count"] == 16 and abs(said["left_over_mm"] - 4.05) < 1e-3)
    check("the room is the page", all(abs(b.bounds[0] - 2.025 - 19.05 * i) < 1e-3 for i, b in enumerate(shapes_in(out))))
    said = report("shape", "repeat", square, "--across", "5", "--pitch", "18mm", "-o", out)
    check("number and distance", said["count"] == 5 and abs(said["size_mm"][0] - 87) < 1e-3)
    gull = motif("gull.svg", "M10 20 C12 14 17 13 20 18 C23 13 28 14 30 20 C27 17 23 18 20 22 C17 18 13 17 10 20 Z")
    for words in (("--way", "row", "--across", "4"), ("--way", "brick", "--fill", "90x60mm"), ("--way", "hex", "--fill", "90x70mm"),
                  ("--way", "grid", "--fill", "80x60mm", "--each", "p4"), ("--way", "around", "--across", "9")):
        said = report("shape", "repeat", gull, *words, "--gap", "1.5mm", "-o", out)
        there = shapes_in(out)
        least = min(a.distance(b) for i, a in enumerate(there) for b in there[:i])
        check(f"{words}: {least} between {len(there)}", len(there) == said["count"] and abs(least - 1.5) < 0.01 and abs(said["between_mm"] - least) < 0.01)
    ring = motif("ring.svg", "M0 20 H60")
    said = report("shape", "repeat", square, "--way", "path", "--with", ring, "--pitch", "16mm", "--fill", "1mm", "-o", out)
    check(f"along a path: {said['count']}", said["count"] == 4)

    # Applique: allowances as shapely buffers them; a lower layer runs under the upper one by the underlap alone.
    with_corner = motif("fabric.svg", "M5 5 h30 v20 h-10 v-8 h-20 Z")
    face = Polygon([(5, 5), (35, 5), (35, 25), (25, 25), (25, 17), (5, 17)])
    for edge, area in (("raw", face.area), ("turned", face.buffer(4, 256).area), ("fused", face.area), ("reverse", face.buffer(-4, 256).area)):
        near(f"applique, {edge}", report("shape", "applique", with_corner, "--edge", edge, "--allowance", "4mm", "-o", out)["area_mm2"], area)
    layered = folder / "layered.svg"
    layered.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60" fill="none" stroke="#222"><g id="lower"><path d="M10 10 h40 v30 h-40 Z"/></g><g id="upper"><path d="M50 5 h30 v40 h-30 Z"/></g></svg>')
    said = report("shape", "applique", layered, "--edge", "raw", "--underlap", "3mm", "-o", out)
    near("the underlap is added below the upper piece alone", said["area_mm2"], 40 * 30 + 30 * 40 + (box(10, 10, 50, 40).buffer(3, 256) & box(50, 5, 80, 45)).area)

    # Ready shapes.
    for word, size in (("card", (210, 148)), ("label", (90, 50)), ("badge", (49, 49)), ("tag", (50, 90)), ("ring", (60, 60))):
        said = report("shape", word, "-o", out)
        check(f"{word} has its size: {said['size_mm']}", all(abs(x - y) < 0.02 for x, y in zip(said["size_mm"], size)))
        check(f"{word} can be read", all(abs(x - y) < 0.001 for x, y in zip(report("inspect", out)["size_mm"], size)))
    check("a badge of another size", report("shape", "badge", "--size", "58", "-o", out)["size_mm"] == [70, 70])

    # A project keeps the recipe.
    project = folder / "p.dotlane"
    run("shape", "offset", two, "--by", "3mm", "-o", project)
    saved = json.loads(project.read_text())
    check("the recipe is in the project", saved["pieces"][0]["recipe"][0]["values"]["by"] == 3)
    near("and means the same there", report("inspect", project)["totals"]["area_mm2"], a.union(b).buffer(3, resolution=64).area)

    # Tracing: a PNG written here by hand, a black disc of 60 px on 200 x 200.
    def png(path, width, height, pixel):
        rows = b"".join(b"\0" + bytes(pixel(x, y) for x in range(width)) for y in range(height))
        def chunk(kind, data):
            return struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))
        path.write_bytes(b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", struct.pack(">IIBBBBB", width, height, 8, 0, 0, 0, 0)) +
                         chunk(b"IDAT", zlib.compress(rows)) + chunk(b"IEND", b""))
    picture = folder / "disc.png"
    png(picture, 200, 200, lambda x, y: 0 if math.hypot(x - 99.5, y - 99.5) < 60 else 255)
    said = report("shape", "trace", picture, "--width", "100mm", "-o", out)
    near("traced disc", said["area_mm2"], math.pi * 30 * 30, 0.01)
    check("few nodes", 3 < said["nodes"] < 20)

    # A resolution in the file says how large the picture is (written by Ghostscript); 72 and 96 per inch say nothing.
    page = folder / "disc.ps"
    page.write_text("%!\n<< /PageSize [144 72] >> setpagedevice\n72 36 20 0 360 arc fill\nshowpage\n")
    for device, name in (("png16m", "disc.png"), ("jpeg", "disc.jpg")):
        for per_inch, wide in ((300, 50.8), (150, 50.8), (72, 80), (96, 80)):
            subprocess.run(["gs", "-q", "-dBATCH", "-dNOPAUSE", "-dSAFER", f"-sDEVICE={device}", f"-r{per_inch}", f"-sOutputFile={folder / name}", page], check=True)
            said = report("shape", "trace", folder / name, "-o", out)
            near(f"{name} at {per_inch} per inch", said["size_mm"][0], wide * 40 / 144, 0.02)
            said = report("shape", "trace", folder / name, "--width", "144mm", "-o", out)
            near(f"{name} with a width given", said["size_mm"][0], 40, 0.02)

    # Stones, single lines moved, words in a shape.
    square = folder / "square.svg"
    square.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100"'
                      ' fill="none" stroke="black"><path id="q" d="M10 10h80v80h-80z"/></svg>')
    said = report("shape", "stones", square, "--size", "own", "--across", "5mm", "--clearance", "0.4mm", "--web", "0.6mm", "-o", out)
    check("stones along, one on every corner", said["stones"] == 52)
    near("holes", said["area_mm2"], said["stones"] * math.pi * 2.7 * 2.7, 0.01)
    said = report("shape", "stones", square, "--where", "all", "--size", "ss20", "-o", out)
    check("stones all over", 160 < said["stones"] < 80 * 80 / (5.9 * 5.9 * math.sqrt(3) / 2))
    said = report("shape", "move-lines", square, "--of", "q", "--right", "5mm", "--up", "3mm", "-o", out)
    near("moved", said["size_mm"][0], 80, 1e-6)
    words = folder / "words.svg"
    run("shape", "text", "--text", "oil", "--font", "Roboto Slab Bold", "-o", words)
    said = report("shape", "fit-shape", words, "--with", square, "--margin", "2mm", "-o", out)
    check("words fill", max(said["size_mm"]) > 75.9)

    # Bad use: one line, exit code 2, nothing written.
    broken = folder / "broken.png"
    broken.write_bytes(picture.read_bytes()[:60])
    text = folder / "text.png"
    text.write_text("not a picture")
    nothing = folder / "nothing.svg"
    for words, says in (
        (("offset", two, "--by", "wide"), "--by wants a length"),
        (("offset", two, "--by", "-3mm"), "from 0 to 1000"),
        (("offset", two, "--corners", "soft"), "round, mitre, bevel"),
        (("offset", two, "--merge", "maybe"), "one of yes, no"),
        (("offset", two, "--flavour", "3"), "not understood"),
        (("melt", two), 'no step or shape "melt"'),
        (("offset", folder / "missing.svg"), "missing.svg"),
        (("simplify", two, "--with", other), "takes no --with"),
        (("trace", broken), "broken.png"),
        (("trace", text), "text.png"),
        (("trace", folder / "missing.png"), "missing.png"),
        (("badge", "--size", "41"), "--size"),
        (("repeat", two, "--across", "0"), "--across"),
        (("repeat", two, "--fill", "wide"), "--fill wants"),
    ):
        done = run("shape", *words, "-o", nothing, expect=2)
        check(f"{words} says {says!r}: {done.stderr!r}", says in done.stderr and len(done.stderr.strip().splitlines()) <= 2)
        check(f"{words} writes nothing", not nothing.exists())
    run("shape", "offset", two, expect=2)
    run("shape", "offset", two, "-o", folder / "x.docx", expect=2)
    help_text = run("help", "shape").stdout
    check("help lists steps and shapes", all(w in help_text for w in ("trim-under", "--holes-under", "folding-card", "--despeckle")))
finish("shapes go from file to file as shapely says")
