"""HPGL in, judged by hp2xx, which is not ours: drawings of every instruction are measured by both. What we export comes
back in within its grid of 1/40 mm. Hostile files are refused in one line or read as far as they make sense."""
import math
import pathlib
import random
import re
import subprocess
import tempfile

from cli_run import check, finish, report, root, run

chance = random.Random(181)


def theirs(file, folder):
    """Length, width and height in mm of what hp2xx draws at true size: its SVG counts in 1/72 in."""
    drawn = folder / "theirs.svg"
    subprocess.run(["hp2xx", "-q", "-t", "-N", "-n", "-m", "svg", "-f", drawn, file], check=True, capture_output=True)
    xs, ys, length, at = [], [], 0, None
    for letter, x, y in re.findall(r"([ML])\s*(-?[\d.]+)\s*,\s*(-?[\d.]+)", drawn.read_text()):
        x, y = float(x) * 25.4 / 72, float(y) * 25.4 / 72
        if letter == "L" and at:
            length += math.dist(at, (x, y))
        if letter == "L" and at:
            xs += [at[0], x]
            ys += [at[1], y]
        at = (x, y)
    return length, max(xs) - min(xs), max(ys) - min(ys)


def place():
    return f"{chance.randint(1000, 6000)},{chance.randint(1000, 5000)}"


def shift():
    return f"{chance.randint(-700, 700)},{chance.randint(-700, 700)}"


def packed(points):
    """Relative polyline, base 64: low digits first, the lowest bit is the sign, the last digit from 191 up."""
    def number(v):
        v = 2 * v if v >= 0 else -2 * v + 1
        out = b""
        while v >= 64:
            out += bytes([63 + v % 64])
            v //= 64
        return out + bytes([191 + v])
    return b"".join(number(v) for p in points for v in p)


def drawing(n):
    says = ["IN;SP1;"]
    scaled = n % 3 == 1
    if scaled:
        says.append("IP1000,1000,5000,4000;SC0,100,0,75;")
    if n % 4 == 3:
        says.append("RO90;")
    if scaled:
        where = lambda: f"{chance.uniform(0, 100):.2f},{chance.uniform(0, 75):.2f}"
        by = lambda: f"{chance.uniform(-20, 20):.2f},{chance.uniform(-20, 20):.2f}"
        radius = lambda: f"{chance.uniform(2, 9):.2f}"
    else:
        where, by, radius = place, shift, lambda: str(chance.randint(80, 400))
    makers = [
        lambda: f"PU{where()};PD{where()},{where()};PU;",
        lambda: f"PU;PA{where()};PD;PR{by()},{by()};PU;PA;",
        lambda: f"pu {where()} ; pd ; pa {where()} {where()} ; pu ;",
        lambda: f"PA{where()};CI{radius()},1;",
        lambda: f"PU{where()};PD;AA{where()},{chance.choice([30, -75, 180, 270])},1;PU;",
        lambda: f"PU{where()};PD;AR{by()},{chance.choice([45, -120, 200])},1;PU;",
        lambda: f"PU{where()};EA{where()};",
        lambda: f"PU{where()};ER{by()};",
        lambda: f"PU{where()};EW{radius()},{chance.choice([0, 45, 90])},{chance.choice([60, 120, 270])},1;",
        lambda: f"PU{where()};PM0;PD{where()},{where()};PM2;EP;",
    ]
    for _ in range(3):
        chance.shuffle(makers)
        says += [make() for make in makers]
        says.append(f"SP{chance.randint(1, 6)};")
    text = "\n".join(says).encode()
    if n % 5 == 4 and not scaled:
        text += b"PU2000,2000;PE" + packed([(400, 30), (-20, 300), (-777, 5)]) + b";PU;"
    return text + b"SP0;"


files = 0
with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    for n in range(24):
        file = folder / f"drawing-{n}.plt"
        file.write_bytes(drawing(n))
        ours = report("inspect", file, expect=None)
        length, width, height = theirs(file, folder)
        files += 1
        total = sum(line["length_mm"] for line in ours["lines"])
        check(f"{file.name}: {ours['size_mm']} ours, {width:.3f} x {height:.3f} theirs",
              abs(ours["size_mm"][0] - width) < 0.06 and abs(ours["size_mm"][1] - height) < 0.06)
        check(f"{file.name}: length {total:.2f} ours, {length:.2f} theirs", abs(total - length) < 1e-3 * length + 0.1)
        codes = [f["code"] for f in ours["findings"]]
        check(f"{file.name}: {codes}", "size-assumed" not in codes and "scale-unknown" not in codes and "kinds-left-out" not in codes)
        check(f"{file.name}: by pen", all(line["layer"].startswith("Pen ") for line in ours["lines"]))

    # What we export comes back: every stroke of the plan, on the grid.
    for demo in sorted((root / "demo").glob("*.dotlane")):
        out, svg = folder / (demo.stem + ".hpgl"), folder / (demo.stem + ".svg")
        run("export", demo, "-o", out)
        back = report("inspect", out, expect=None)
        length, width, height = theirs(out, folder)
        files += 1
        check(f"{demo.name}: {back['size_mm']} back, {width:.3f} x {height:.3f} by hp2xx",
              abs(back["size_mm"][0] - width) < 0.06 and abs(back["size_mm"][1] - height) < 0.06)
        total = sum(line["length_mm"] for line in back["lines"])
        check(f"{demo.name}: length {total:.1f} back, {length:.1f} by hp2xx", abs(total - length) < 2e-3 * length + 0.1)

    # Said, not dropped.
    told = folder / "told.plt"
    told.write_bytes(b"IN;SC0,100,0,100;SP1;PU0,0;PD50,50;LBLantern\x03ZZ1,2;PU;IW0,0,9,9;PD\xff9;")
    codes = {f["code"] for f in report("inspect", told, expect=None)["findings"]}
    check(f"told: {codes}", {"scale-unknown", "text-left-out", "kinds-left-out", "clip-ignored", "attribute-ignored"} <= codes)
    for bad, line in [(b"IN;" + b"PD1e9,1;" * 9 + b"PD99999999999,3;", "100 m"), (b"IN;SP1;PD;PU;", None)]:
        file = folder / "bad.plt"
        file.write_bytes(bad)
        done = run("inspect", file, expect=None)
        check(f"{bad[:20]}: {done.returncode} {done.stderr}", done.returncode in (0, 1, 2) and done.stderr.count("\n") <= 1)
    # Damaged in any way: never a crash.
    for n in range(300):
        bytes_ = bytearray(drawing(n % 24))
        for _ in range(chance.randint(1, 30)):
            bytes_[chance.randrange(len(bytes_))] = chance.randrange(256)
        file = folder / "damaged.plt"
        file.write_bytes(bytes_[: chance.randint(3, len(bytes_))])
        done = run("inspect", file, expect=None)
        check(f"damaged {n}: {done.returncode} {done.stderr[-200:]}", done.returncode in (0, 1, 2) and done.stderr.count("\n") <= 1)
finish(f"{files} HPGL files agree with hp2xx")
