"""What clip paths leave of a drawing: as much ink as librsvg and poppler, which are not ours, paint, and in the same places;
read from the drawing, and from the PDF that librsvg makes of it, where cairo writes the clips. librsvg knows no clips of
clips; tests/core/test_svg_clip.cpp has those."""
import pathlib
import subprocess
import tempfile

import numpy

from cli_run import check, finish, guard, report

PER_MM = 12
HEAD = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="100mm" height="60mm" viewBox="0 0 100 60">'
STAR = "M50 4L61 42 24 17h52L39 42z"
DRAWINGS = {
    "disc": '<clipPath id="c"><circle cx="50" cy="30" r="20"/></clipPath><rect x="35" width="40" height="60" clip-path="url(#c)"/>',
    "star": f'<clipPath id="c"><path d="{STAR}"/></clipPath><circle cx="50" cy="25" r="16" clip-path="url(#c)"/>',
    "star by evenodd": f'<clipPath id="c"><path clip-rule="evenodd" d="{STAR}"/></clipPath><circle cx="50" cy="25" r="16" clip-path="url(#c)"/>',
    "evenodd for all": f'<clipPath id="c" clip-rule="evenodd"><path d="{STAR}"/></clipPath><g clip-path="url(#c)"><rect width="50" height="60"/></g>',
    "turned": f'<clipPath id="c"><path d="{STAR}"/></clipPath><g transform="rotate(20 50 30) skewX(10) scale(0.7)" clip-path="url(#c)"><circle cx="55" cy="30" r="17"/></g>',
    "turned clip": f'<clipPath id="c" transform="rotate(-30 50 30)"><rect x="30" y="20" width="40" height="20" transform="skewY(8)"/></clipPath><circle cx="50" cy="30" r="15" clip-path="url(#c)"/>',
    "box units": '<clipPath id="c" clipPathUnits="objectBoundingBox"><circle cx="0.5" cy="0.5" r="0.5"/></clipPath><rect x="10" y="10" width="60" height="20" clip-path="url(#c)"/><g clip-path="url(#c)"><rect x="20" y="40" width="8" height="8"/><rect x="60" y="44" width="8" height="8"/></g>',
    "several": '<clipPath id="c"><circle cx="30" cy="30" r="15"/><circle cx="45" cy="30" r="15"/><rect x="70" y="5" width="20" height="50"/></clipPath><rect y="20" width="100" height="20" clip-path="url(#c)"/>',
    "groups": f'<clipPath id="a"><rect x="40" width="40" height="60"/></clipPath><clipPath id="b"><path d="{STAR}"/></clipPath><g clip-path="url(#a)"><g transform="translate(3 4)" clip-path="url(#b)"><rect width="100" height="60"/></g></g>',
    "used": '<defs><path id="drop" d="M50 5C70 30 65 50 50 50S30 30 50 5z"/></defs><clipPath id="c"><use xlink:href="#drop" x="-10"/></clipPath><use xlink:href="#drop" x="8" clip-path="url(#c)"/>',
    "style": '<style>.c{clip-path:url(#c)}</style><clipPath id="c"><ellipse cx="50" cy="30" rx="30" ry="10"/></clipPath><g class="c"><path d="M20 0h20v60h-20zM60 0h20v60h-20z"/></g>',
    "words": '<clipPath id="c"><text x="5" y="45" font-family="DejaVu Sans" font-weight="bold" font-size="30">Pier</text></clipPath><rect y="30" width="100" height="30" clip-path="url(#c)"/>',
    "none of it": '<clipPath id="c"/><rect width="50" height="50" clip-path="url(#c)"/><rect x="60" width="9" height="9"/>',
    "all of it": '<clipPath id="c"><rect width="100" height="60"/></clipPath><circle cx="50" cy="30" r="20" clip-path="url(#c)"/>',
}


def ink(pdf):
    """mm² that are painted, and their box, mm."""
    raw = subprocess.run(["pdftoppm", "-gray", "-r", str(25.4 * PER_MM), pdf], capture_output=True, check=True, timeout=guard).stdout
    kind, size, most, pixels = raw.split(b"\n", 3)
    width, height = map(int, size.split())
    dark = 1 - numpy.frombuffer(pixels, dtype=numpy.uint8).reshape(height, width) / 255.0
    rows, columns = numpy.where(dark.max(axis=1) > 0.5)[0], numpy.where(dark.max(axis=0) > 0.5)[0]
    return dark.sum() / PER_MM**2, [columns[0] / PER_MM, rows[0] / PER_MM, (columns[-1] + 1) / PER_MM, (rows[-1] + 1) / PER_MM]


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    for what, body in DRAWINGS.items():
        svg, pdf = folder / "drawing.svg", folder / "drawing.pdf"
        svg.write_text(HEAD + body + "</svg>")
        subprocess.run(["rsvg-convert", "-f", "pdf", "-o", pdf, svg], check=True, timeout=guard)
        area, box = ink(pdf)
        for file in (svg, pdf):
            told = report("inspect", file, expect=None)
            ours, bounds = told["totals"]["area_mm2"], told["bounds_mm"]
            check(f"{what}, {file.suffix}: {ours} mm², painted are {area:.2f}", abs(ours - area) < 0.5 + 0.002 * area)
            check(f"{what}, {file.suffix}: bounds {bounds}, painted {box}", all(abs(a - b) < 3 / PER_MM for a, b in zip(bounds, box)))
            check(f"{what}, {file.suffix}: not applied", "clip-ignored" not in {f["code"] for f in told["findings"]})
finish(f"{len(DRAWINGS)} drawings leave as much as is painted")
