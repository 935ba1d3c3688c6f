"""Typefaces and lettering against Debian's python3-fonttools (outlines) and libharfbuzz-bin's hb-shape (setting)."""
import json
import pathlib
import random
import subprocess
import tempfile

from fontTools.pens.boundsPen import BoundsPen
from fontTools.ttLib import TTFont

from cli_run import check, finish, report, root, run

faces = root / "resources" / "typefaces"
dejavu = pathlib.Path("/usr/share/fonts/truetype/dejavu/DejaVuSans.ttf")

# 200 letterforms of four faces: TrueType and CFF, upright and script.
compared = 0
for name in ("Comfortaa-Bold.ttf", "Lobster.otf", "RobotoSlab-Bold.otf", "EBGaramond12-Italic.otf"):
    font = TTFont(faces / name)
    upem, glyphs = font["head"].unitsPerEm, font.getGlyphSet()
    said = {g["name"]: g for g in report("fonts", faces / name)["glyphs"]}
    order = font.getGlyphOrder()
    for glyph in random.Random(1).sample(order, 200):
        ours = said.get(glyph)
        if ours is None:
            check(f"{name}: {glyph} is listed", False)
            continue
        pen = BoundsPen(glyphs)
        glyphs[glyph].draw(pen)
        check(f"{name}: advance of {glyph}", abs(ours["advance_em"] - glyphs[glyph].width / upem) < 1e-6)
        check(f"{name}: {glyph} has an outline", ("bounds_em" in ours) == (pen.bounds is not None))
        if pen.bounds and "bounds_em" in ours:
            worst = max(abs(a - b / upem) for a, b in zip(ours["bounds_em"], pen.bounds))
            check(f"{name}: bounds of {glyph} differ by {worst} em", worst < 0.001)
        compared += 1
    said = report("fonts", faces / name)
    features = {r.FeatureTag for t in ("GSUB", "GPOS") if t in font for r in font[t].table.FeatureList.FeatureRecord}
    check(f"{name}: features", set(said["features"]) == features)
check("two hundred letterforms of each face were compared", compared == 800)

# Kerning, ligatures, features, marks, right-to-left and joining scripts, set as hb-shape sets them.
garamond, yanone, comfortaa = faces / "EBGaramond12-Italic.otf", faces / "YanoneKaffeesatz-Regular.otf", faces / "Comfortaa-Bold.ttf"
strings = [
    (garamond, "AVATAR To Wa", []), (garamond, "office fjord ffl", []), (garamond, "office fjord ffl", ["-liga"]),
    (garamond, "Quay Brass Tide", ["swsh"]), (garamond, "1894 Fair", ["smcp", "onum"]), (garamond, "1/2 lamp", ["frac"]),
    (garamond, "e\u0301 a\u0308 o\u0302\u0323", []), (garamond, "AVATAR", ["-kern"]),
    (faces / "Lobster.otf", "Lantern Shop", []), (faces / "Lobster.otf", "Lantern Shop", ["salt"]),
    (faces / "DancingScript-Bold.otf", "Harbour fair", []), (faces / "DancingScript-Bold.otf", "boats", ["salt", "-liga"]),
    (yanone, "Reel & Rope", ["ss01", "ss03"]), (yanone, "a\u0301b\u0302", []),
    (comfortaa, "Tug Yawl AV", []), (faces / "RobotoSlab-Bold.otf", "fifty five", ["lnum"]),
    (dejavu, "\u0645\u0646\u0627\u0631\u0629", []), (dejavu, "\u0644\u0627\u0644\u0627", []),
    (dejavu, "\u05e0\u05de\u05dc", []), (dejavu, "\u05e9\u05b8\u05c1\u05dc\u05d5\u05b9\u05dd", []),
    (dejavu, "\u041c\u0430\u044f\u043a", []),
]
with tempfile.TemporaryDirectory() as folder:
    out = pathlib.Path(folder) / "out.svg"
    for font, text, features in strings:
        words = [w for f in features for w in ("--feature", f)]
        ours = report("shape", "text", "--text", text, "--font", font, "--cap-height", "20mm", *words, "-o", out)["glyphs"]
        done = subprocess.run(["hb-shape", "--output-format=json", f"--features={','.join(features)}", str(font), text],
                              capture_output=True, text=True, check=True)
        theirs, upem = json.loads(done.stdout), TTFont(font)["head"].unitsPerEm
        check(f"{font.name} {text!r} {features}: the letterforms", [g["g"] for g in ours] == [g["g"] for g in theirs])
        check(f"{font.name} {text!r}: the clusters", [g["cl"] for g in ours] == [g["cl"] for g in theirs])
        for a, b in zip(ours, theirs):
            for mine, other in (("advance_em", "ax"), ("dx_em", "dx"), ("dy_em", "dy")):
                check(f"{font.name} {text!r}: {other} of {b['g']}", abs(a[mine] - b[other] / upem) < 2e-6)

    # Lettering by the command line.
    said = report("shape", "text", "--text", "Lantern", "--cap-height", "20mm", "--tracking", "4mm", "--join", "-o", out)
    check("pairs pulled apart are told with their gaps", len(said["apart"]) == 6 and all(p["gap_mm"] > 0 for p in said["apart"]))
    said = report("shape", "text", "--text", "Lantern", "--cap-height", "20mm", "--tracking", "4mm", "--join", "--close-up", "-o", out)
    check("closed up, none are", said["apart"] == [] and said["counters_closed"] == [])
    round_ = report("shape", "text", "--text", "HARBOUR", "--font", "Bebas Neue Bold", "--cap-height", "10mm", "--arc", "50mm", "-o", out)
    check("an arc bends it", round_["size_mm"][1] > 12)
    wide = report("shape", "text", "--text", "Lantern", "--width", "120mm", "-o", out)
    check("a finished width is met", abs(wide["size_mm"][0] - 120) < 0.001)
    missing = report("shape", "text", "--text", "a\u4e16", "-o", out)
    check("a missing letter is named", any("U+4E16" in t for t in missing["trouble"]))
    project = pathlib.Path(folder) / "out.dotlane"
    run("shape", "text", "--text", "Mast", "--font", "Hershey Script", "-o", project)
    check("a project keeps the words", '"text": "Mast"' in project.read_text())

    # All the faces at hand, and what is refused.
    fonts = {f["name"]: f for f in report("fonts")["fonts"]}
    shipped = [f for f in fonts.values() if f["shipped"]]
    check("shipped faces", len(shipped) >= 8 and sum(f["single_stroke"] for f in shipped) >= 3)
    check("the system's faces too", any("DejaVu" in n for n in fonts))
    whole = (faces / "Comfortaa-Bold.ttf").read_bytes()
    for name, data in (("short.ttf", whole[:300]), ("text.otf", b"not a font at all"), ("empty.ttf", b""), ("bad.jhf", b"12345 99JZ")):
        bad = pathlib.Path(folder) / name
        bad.write_bytes(data)
        for words in (("fonts", bad), ("shape", "text", "--text", "Lamp", "--font", bad, "-o", out)):
            done = run(*words, expect=2)
            check(f"{name}: one line that names the file", done.stderr.count("\n") == 1 and name in done.stderr)
    for words in (["--font", "No Such Face"], ["--cap-height", "banana"], ["--feature", "no feature at all"], ["--arc", "0"],
                  ["--close-up", "--font", "Hershey Plain"]):
        run("shape", "text", "--text", "Lamp", *words, "-o", out, expect=2)
    run("shape", "text", "-o", out, expect=2)
finish(f"{compared} letterforms and {len(strings)} strings agree")
