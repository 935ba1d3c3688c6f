"""Strokes in order by the command line: every one once, and the travel is measured from the drawing by a reader that is not ours."""
import math
import pathlib
import random
import tempfile

from svgelements import SVG, Path, Shape

from cli_run import check, finish, report, root, run


def strokes_of(file):
    """By id: the two ends of a stroke, or many points of a loop, mm."""
    out = {}
    for element in SVG.parse(str(file), ppi=25.4).elements():
        if not isinstance(element, Shape):
            continue
        path = abs(Path(element))
        loop = path[-1].__class__.__name__ == "Close" or path.first_point == path.current_point
        places = [path.point(i / 400) for i in range(401)] if loop else [path.first_point, path.current_point]
        out[element.id] = (loop, [(p.x, p.y) for p in places])
    return out


def travel(strokes, result, start):
    head, total = start, 0
    for step in result["order"]:
        loop, places = strokes[step["id"]]
        entry = tuple(step["entry"])
        if loop:
            check(f"{step['id']} is entered on its edge", min(math.dist(entry, p) for p in places) < 0.6)
            leave = entry
        else:
            first, last = reversed(places) if step["reversed"] else places
            check(f"{step['id']} begins at its end", math.dist(entry, first) < 0.02)
            leave = last
        total += math.dist(head, entry)
        head = leave
    return total


with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    chance = random.Random(7)
    parts = []
    for i in range(150):
        x, y = chance.uniform(0, 280), chance.uniform(0, 280)
        if i % 2:
            parts.append(f'<path id="s{i}" d="M{x:.3f} {y:.3f}l{chance.uniform(-20, 20):.3f} {chance.uniform(-20, 20):.3f}"/>')
        else:
            parts.append(f'<circle id="s{i}" cx="{x:.3f}" cy="{y:.3f}" r="{chance.uniform(1, 12):.3f}"/>')
    drawing = folder / "strokes.svg"
    drawing.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#000">' + "".join(parts) + "</svg>")
    strokes = strokes_of(drawing)
    for words, start in (((), (0, 0)), (("--start", "290,10"), (290, 10))):
        result = report("order", drawing, "--seconds", "0.2", *words)
        check("every stroke once", sorted(s["id"] for s in result["order"]) == sorted(strokes))
        measured = travel(strokes, result, start)
        check(f"travel is {measured:.2f}, {result['travel_mm']} is said", abs(measured - result["travel_mm"]) < 0.5)
        check("it is far less than in the order of the file", result["travel_mm"] < 0.15 * result["file_order_mm"])
    # As many kicks as asked for: none is worse than some, and the same seed gives the same.
    quick = report("order", drawing, "--seconds", "0")["travel_mm"]
    good = report("order", drawing, "--seconds", "0.5", "--seed", "3")
    check(f"longer is better: {quick} {good['travel_mm']}", good["travel_mm"] <= quick)
    check("the same seed gives the same order", report("order", drawing, "--seconds", "0.5", "--seed", "3") == good)
    plain = run("order", drawing).stdout
    check("said in words as well", plain.startswith("150 strokes: ") and "mm of travel" in plain)
    for words, what in ((("--start", "5"), "--start"), (("--seconds", "-1"), "--seconds"), (("--seed", "x"), "--seed"), (("--loud",), "--loud")):
        check(f"{words} is refused", what in run("order", drawing, *words, expect=2).stderr)
    check("a file that is not there is named", "gone.svg" in run("order", folder / "gone.svg", expect=2).stderr)
    two = folder / "two.svg"
    two.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="30mm" viewBox="0 0 30 30" fill="none" stroke="#000"><path id="p" d="M1 1h9M1 3h9"/></svg>')
    check("contours of one path have numbers", [(s["id"], s["contour"], s["reversed"]) for s in report("order", two)["order"]] == [("p", 0, False), ("p", 1, True)])
    empty = folder / "empty.svg"
    empty.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="30mm" height="30mm"/>')
    check("nothing is in order at once", report("order", empty)["order"] == [])

finish("strokes in order, measured by others")
