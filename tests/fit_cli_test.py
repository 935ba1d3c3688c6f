"""`fit` against a search by Debian's python3-shapely: how large each of 30 shapes may be on a sheet of 292 x 292 mm."""
import json
import math
import pathlib
import random
import tempfile

from shapely import affinity
from shapely.geometry import Polygon

from cli_run import check, cli, finish, report, root, run  # noqa: F401

ROOM = 304.8 - 2 * 6.4  # the mat less the border that is kept clear on every side


def shape(chance):
    """A star of random rays: concave more often than not."""
    n = chance.randint(3, 14)
    long, turn = chance.uniform(0.2, 1), chance.uniform(0, math.pi)
    points = []
    for k in range(n):
        a, r = 2 * math.pi * (k + chance.uniform(0, 0.6)) / n, chance.uniform(15, 60)
        x, y = r * math.cos(a), long * r * math.sin(a)
        points.append((150 + x * math.cos(turn) - y * math.sin(turn), 150 + x * math.sin(turn) + y * math.cos(turn)))
    return points


def largest(polygon, angle):
    x0, y0, x1, y1 = affinity.rotate(polygon, angle, origin=(0, 0)).bounds
    return min(ROOM / (x1 - x0), ROOM / (y1 - y0))


def search(polygon):
    """By angles, then by ever smaller steps around the best of them."""
    best = max(range(0, 180), key=lambda a: largest(polygon, a))
    step = 1.0
    while step > 1e-4:
        best = max((best - step, best - step / 2, best, best + step / 2, best + step), key=lambda a: largest(polygon, a))
        step /= 2
    return largest(polygon, best)


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    chance = random.Random(1515)
    for k in range(30):
        points = shape(chance)
        polygon = Polygon(points)
        d = "M" + " L".join(f"{x:.4f} {y:.4f}" for x, y in points) + " Z"
        drawing = folder / f"shape-{k}.svg"
        drawing.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" '
                           f'fill="none" stroke="#444444"><path id="s" d="{d}"/></svg>')
        said, found = report("fit", drawing), search(polygon)
        check(f"shape {k}: {said.get('scale_max')} said, {found:.4f} found",
              found * 0.998 <= said["scale_max"] <= found * 1.002)
        check(f"shape {k}: it then fits as it is said to be turned",
              largest(polygon, -said["turn_deg"]) >= said["scale_max"] * 0.999
              or largest(polygon, said["turn_deg"]) >= said["scale_max"] * 0.999)
        check(f"shape {k}: its size", abs(said["size_mm"][0] / said["size_today_mm"][0] - said["scale_max"]) < 1e-3)
        check(f"shape {k}: all advice helps", all(a["scale"] > said["scale_max"] for a in said["advice"]))
        check(f"shape {k}: one sheet", sum(said["sheets"].values()) == 1)

    heron = report("fit", root / "demo/wading-heron.dotlane")
    check("the heron: all keys", set(heron) >= {"scale_max", "limited_by", "size_mm", "advice", "sheets"})
    check("the heron: a longer mat helps", any(a["what"] == "mat" and a["scale"] > heron["scale_max"] for a in heron["advice"]))
    check("the heron: sheets of all its stocks", len(heron["sheets"]) >= 3 and all(n >= 1 for n in heron["sheets"].values()))
    check("the heron: trimmed it may be larger, and names what stops it then",
          heron["all_trimmed"]["scale_max"] > heron["scale_max"] and heron["all_trimmed"]["limited_by"])
    # One reed on a card of nearly the same green.
    cards = json.loads((root / "demo/wading-heron.dotlane").read_text())
    reed = next(s for s in cards["stocks"] if s["id"] == "reed-card")
    red, green, blue = (int(reed["color"][k:k + 2], 16) for k in (1, 3, 5))
    cards["stocks"].append(dict(reed, id="moss-card", name="Moss card", color=f"#{red:02x}{green + 3:02x}{blue:02x}"))
    cards["pieces"][-1]["stock"] = "moss-card"
    near, united = folder / "near.dotlane", folder / "united.dotlane"
    near.write_text(json.dumps(cards))
    pairs = report("near-stocks", near, "-o", united)["pairs"]
    check(f"the two greens are a pair: {pairs}", len(pairs) == 1 and (pairs[0]["keep"], pairs[0]["other"]) == ("reed-card", "moss-card"))
    check("as one they take a sheet less", pairs[0]["sheets_united"] == pairs[0]["sheets"] - 1)
    check("what the lesser one carries is listed", [p["part"] for p in pairs[0]["parts"]] == [cards["pieces"][-1]["name"]])
    check("united there is no pair", report("near-stocks", united)["pairs"] == [])
    text = run("fit", root / "demo/wading-heron.dotlane").stdout
    check("text says the same", heron["limited_by"] in text and "stops it" in text)
    nothing = folder / "nothing.svg"
    nothing.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="30mm" viewBox="0 0 30 30"/>')
    check("without parts it says so", "no part" in run("fit", nothing, expect=2).stderr)

finish("sizes agree with the search")
