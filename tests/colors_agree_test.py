"""The tables of colours that the core's tests read, judged by a second implementation (python3-colormath).

ciede2000.txt: the first 31 rows are the published test data (G. Sharma, W. Wu, E. N. Dalal, "The CIEDE2000
Color-Difference Formula", Color Research & Application 30, 2005, table 1), typed from memory; the rest are random pairs.
srgb.txt: sRGB colours, their relative luminance (Y of XYZ) and CIELAB under D65. `--write` makes both anew.
"""
import pathlib
import random
import sys

import numpy
from colormath.color_conversions import convert_color
from colormath.color_diff_matrix import delta_e_cie2000
from colormath.color_objects import LabColor, XYZColor, sRGBColor

data = pathlib.Path(__file__).parent / "data"


def difference(row):
    return float(delta_e_cie2000(numpy.array(row[:3]), numpy.array([row[3:6]]))[0])


def converted(row):
    color = sRGBColor(*row[:3], is_upscaled=True)
    return [convert_color(color, XYZColor).xyz_y, *convert_color(color, LabColor, target_illuminant="d65").get_value_tuple()]


def rows_of(name):
    return [[float(x) for x in line.split()] for line in (data / name).read_text().splitlines() if line and line[0] != "#"]


def write(name, heading, rows, decimals):
    lines = [" ".join(f"{x:.{d}f}" for x, d in zip(row, decimals)) for row in rows]
    (data / name).write_text(f"# {heading}; see colors_agree_test.py\n" + "\n".join(lines) + "\n")


if "--write" in sys.argv:
    chance = random.Random(2000)
    published = rows_of("ciede2000.txt")[:31]
    pairs = [[round(chance.uniform(0, 100), 4)] + [round(chance.uniform(-110, 110), 4) for _ in range(2)] for _ in range(500)]
    pairs = [a + b for a, b in zip(pairs[::2], pairs[1::2])]
    write("ciede2000.txt", "L1 a1 b1 L2 a2 b2 difference", [r[:6] + [difference(r)] for r in published + pairs], [4] * 7)
    colors = [[chance.randrange(256) for _ in range(3)] for _ in range(200)] + [[v, v, v] for v in range(0, 256, 17)]
    write("srgb.txt", "r g b, luminance, L a b", [c + converted(c) for c in colors], [0, 0, 0, 6, 4, 4, 4])
    sys.exit()
differences, colors = rows_of("ciede2000.txt"), rows_of("srgb.txt")
faults = [f"{row}: the second implementation has {difference(row):.5f}" for row in differences if abs(difference(row) - row[6]) > 0.00006]
faults += [f"{row}: the second implementation has {converted(row)}" for row in colors
           if any(abs(a - b) > 0.0001 for a, b in zip(converted(row), row[3:]))]
print("\n".join(faults) or f"{len(differences)} colour differences and {len(colors)} colours agree")
sys.exit(1 if faults or len(differences) < 250 or len(colors) < 200 else 0)
