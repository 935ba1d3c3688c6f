"""Makes weights.ttf and two.ttc with Debian's python3-fonttools: one letter, a square of known size."""
from fontTools.designspaceLib import AxisDescriptor, DesignSpaceDocument, SourceDescriptor
from fontTools.fontBuilder import FontBuilder
from fontTools.pens.ttGlyphPen import TTGlyphPen
from fontTools.ttLib import TTCollection
from fontTools.varLib import build


def square(width, family="Square", restricted=False):
    fb = FontBuilder(1000, isTTF=True)
    fb.setupGlyphOrder([".notdef", "H"])
    fb.setupCharacterMap({ord("H"): "H"})
    pen = TTGlyphPen(None)
    for i, p in enumerate([(50, 0), (50, 700), (50 + width, 700), (50 + width, 0)]):
        (pen.lineTo if i else pen.moveTo)(p)
    pen.closePath()
    fb.setupGlyf({".notdef": TTGlyphPen(None).glyph(), "H": pen.glyph()})
    fb.setupHorizontalMetrics({".notdef": (500, 0), "H": (width + 100, 50)})
    fb.setupHorizontalHeader(ascent=800, descent=-200)
    fb.setupNameTable({"familyName": family, "styleName": "Regular"})
    fb.setupOS2(fsType=2 if restricted else 0)
    fb.setupPost()
    return fb.font


light, heavy = square(200), square(600)
space = DesignSpaceDocument()
axis = AxisDescriptor()
axis.tag, axis.name, axis.minimum, axis.default, axis.maximum = "wght", "Weight", 100, 100, 900
space.addAxis(axis)
for font, at in ((light, 100), (heavy, 900)):
    source = SourceDescriptor()
    source.font, source.location, source.name = font, {"Weight": at}, str(at)
    space.addSource(source)
build(space)[0].save("weights.ttf")
pair = TTCollection()
pair.fonts = [square(300, "Square One"), square(400, "Square Two", restricted=True)]
pair.save("two.ttc")
