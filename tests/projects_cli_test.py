"""All one's projects by the command line: found by what is in them, a piece of one brought into another."""
import json
import os
import pathlib
import shutil
import tempfile

from cli_run import check, finish, report, root, run

with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    os.environ["XDG_DATA_HOME"] = str(folder / "data")
    shutil.copytree(root / "demo", folder / "fair", ignore=shutil.ignore_patterns(".*"))
    (folder / "fair/deep").mkdir()
    (folder / "fair/deep/damaged.dotlane").write_text("{")
    demos = sorted((root / "demo").glob("*.dotlane"))

    everything = report("projects", "--in", folder / "fair")
    check(f"{len(everything)} projects", len(everything) == len(demos) + 1)
    for project in everything:
        if project["trouble"]:
            check("the damaged one says why", project["path"].endswith("deep/damaged.dotlane"))
            continue
        there = json.loads(pathlib.Path(project["path"]).read_text())
        check(f"{project['name']}: all its pieces", [p["id"] for p in project["pieces"]] == [p["id"] for p in there["pieces"]])
        told = report("fit", project["path"])["size_today_mm"]
        check(f"{project['name']}: {project['size_mm']} is its size, {told}",
              all(abs(a - b) < 0.05 for a, b in zip(project["size_mm"], told)))
    # From now on they are known.
    legs = report("projects", "heron", "leg")
    check("the heron's legs", [p["name"] for f in legs for p in f["pieces"] if p["found"]] == ["Leg, near", "Leg, far"])
    check("nothing has a walrus", report("projects", "walrus") == [] and "no project" in run("projects", "walrus").stdout)
    size = legs[0]["pieces"][0]["size_mm"]
    by_size = report("projects", f"{size[0]:.1f}x{size[1]:.1f}mm")
    check("by the size of a piece", any(f["path"] == legs[0]["path"] for f in by_size))
    check("no such folder", "--in" in run("projects", "--in", folder / "none", expect=2).stderr)
    (folder / "fair/wading-heron.dotlane").unlink()
    check("what is gone is not found", report("projects", "heron", "leg") == [])

    card, heron, out = root / "demo/lighthouse-card.dotlane", root / "demo/wading-heron.dotlane", folder / "with.dotlane"
    run("bring", card, "--from", heron, "--piece", "beak", "--piece", "8", "-o", out)
    before, after = json.loads(card.read_text()), json.loads(out.read_text())
    check("two more pieces", len(after["pieces"]) == len(before["pieces"]) + 2)
    check("by name and by number", {p["name"] for p in after["pieces"][:2]} == {"Beak", "Leg, near"})
    stocks = {s["id"] for s in after["stocks"]}
    check("their stock came along", all(p["stock"] in stocks for p in after["pieces"]))
    check("it plans", report("plan", out))
    check("a piece that is not there", "\"Antler\"" in run("bring", card, "--from", heron, "--piece", "Antler", "-o", out, expect=2).stderr)
finish("projects are found, and pieces brought over")
