"""Text in SVG becomes outlines: what Pango and cairo (by librsvg) make of the same words, as a PDF whose letters are read
as outlines, has the same bounds, length and area. Faces: those that ship with Dot Lane, and Debian's fonts-dejavu-core."""
import os
import pathlib
import subprocess
import tempfile

from cli_run import check, finish, report, root

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" width="720px" height="360px" font-family="DejaVu Sans" font-size="10"><g transform="scale(3.6)">'
SAME = {
    "plain": '<text x="5" y="20">Harbour Lantern Fair</text>',
    "kerned": '<text x="5" y="20" style="font: bold 14px \'DejaVu Serif\'">AVATAR Tofu, office</text>',
    "spans": '<text x="5" y="20">One <tspan font-weight="bold">two</tspan> <tspan fill="red" dx="3" dy="4">three</tspan> four</text>',
    "positions": '<text x="10" y="40">abc<tspan x="90">def<tspan dy="-5">gh</tspan></tspan><tspan y="90">i</tspan></text>',
    "middle": '<text x="100" y="40" text-anchor="middle">Moorings<tspan x="100" dy="15">of the north quay</tspan></text>',
    "end": '<text x="190" y="40" text-anchor="end">Pier <tspan font-size="150%">9</tspan></text>',
    "white": '<text x="5" y="20">\t a   b\t\tc </text><text x="5" y="40" xml:space="preserve">  a  b</text>',
    "turned": '<g transform="translate(60 30) rotate(30)"><text transform="scale(1.5)" y="5">Quay</text></g>',
    "units": '<text x="1cm" y="10%" font-size="18pt">Units</text><text x="10" y="60" font-size="medium">Words</text>',
    "sheet": '<style>text { font-family: "DejaVu Sans Mono"; } .big { font-size: 20px; font-weight: bold }</style><text class="big" x="5" y="50">Kiosk</text>',
    "inherits": '<g font-size="5"><g font-weight="bold"><text x="5" y="20">in<tspan font-size="2em">her</tspan>its</text></g></g>',
    "symbols": '<text x="5" y="40">Größe 12 µm – “Ω” ½ ≤ 1</text>',
    "arabic": '<text x="100" y="40">سلام</text>',
    "used": '<defs><text id="t" y="10">Buoy</text></defs><use xlink:href="#t" x="20" y="30"/><use href="#t" x="100" y="50"/>',
    "hidden": '<text x="5" y="20">Seen<tspan visibility="hidden">not</tspan>seen</text><text y="80" display="none">none</text>',
    "spaced": '<text x="5" y="20" letter-spacing="2">spread</text>',
    # cairo hints the curves of this kind of font a little.
    "script": '<text x="5" y="40" font-family="Dancing Script" font-weight="bold" font-size="20">Lantern fields</text>',
}
TOLD = {
    "typeface-stands-in": '<text x="5" y="20" font-family="Nowhere Quay, serif">Words</text>',
    "text-left-out": '<path id="p" d="M0 50 h100"/><text><textPath href="#p">along a path</textPath></text>',
}


def figures(file):
    said = report("inspect", file, expect=None)
    return said["bounds_mm"], said["totals"]["length_mm"], said["totals"]["area_mm2"], [f["code"] for f in said["findings"]]


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    # librsvg is to know the typefaces that ship as well.
    fonts = folder / "fonts.conf"
    faces = (root / "resources" / "typefaces").resolve()
    fonts.write_text(f'<fontconfig><include>/etc/fonts/fonts.conf</include><dir>{faces}</dir><cachedir>{folder}</cachedir></fontconfig>')
    for what, body in SAME.items():
        svg, pdf = folder / f"{what}.svg", folder / f"{what}.pdf"
        svg.write_text(HEAD + body + "</g></svg>")
        subprocess.run(["rsvg-convert", "-f", "pdf", "-o", pdf, svg], check=True, env={**os.environ, "FONTCONFIG_FILE": str(fonts)})
        ours, length, area, codes = figures(svg)
        theirs, want_length, want_area, _ = figures(pdf)
        check(f"{what}: bounds {ours} and {theirs}", all(abs(a - b) < 0.01 + 3e-3 * (theirs[2] - theirs[0]) for a, b in zip(ours, theirs)))
        check(f"{what}: length {length} and {want_length}", abs(length - want_length) < 5e-3 * want_length)
        check(f"{what}: area {area} and {want_area}", abs(area - want_area) < (3e-2 if what == "script" else 1e-2) * want_area)
        check(f"{what}: nothing to tell: {codes}", not {"typeface-stands-in", "text-left-out"} & set(codes))
    for code, body in TOLD.items():
        svg = folder / f"{code}.svg"
        svg.write_text(HEAD + body + "</g></svg>")
        check(f"{code} is told", code in figures(svg)[3])
finish(f"{len(SAME)} texts are set as Pango sets them")
