"""The command line as a script uses it: options, exit codes, the shape of the JSON."""
import json
import os
import pathlib
import subprocess
import tempfile

from cli_run import check, cli, finish, guard, report, root, run

demo = root / "demo/lighthouse-card.dotlane"

help_text = run("help").stdout
for command in ("inspect", "import", "parts", "plan", "check", "dry-run", "export", "tools", "stocks"):
    check(f"help names {command}", command in help_text)
check("no command at all is bad use", run(expect=2).stderr.startswith("dot-lane-cli: "))

inspected = report("inspect", root / "tests/data/svg/11_styles.svg")
check("inspect has all its keys", set(inspected) >= {"unit_source", "per_inch", "size_mm", "bounds_mm", "lines", "totals", "findings"})
line = inspected["lines"][0]
check("a line has all its keys", set(line) >= {"id", "color", "role", "contours", "open", "length_mm", "area_mm2", "bounds_mm"})
check("stroke colours", [l["color"] for l in inspected["lines"][:3]] == ["#c04000", "#c04000", "#004080"])
check("dashed inside no outline is drawn", {l["id"]: l["role"] for l in inspected["lines"]}["fold"] == "draw")
check("totals add up", abs(inspected["totals"]["length_mm"] - sum(l["length_mm"] for l in inspected["lines"])) < 1e-3)
check("findings have all their keys", all(set(f) >= {"code", "severity", "message", "lines"} for f in inspected["findings"]))
filled = report("inspect", root / "tests/data/svg/12_fill_rules.svg")
check("without a stroke the fill's colour counts", all(l["color"] == "#222222" for l in filled["lines"]))
assumed = report("inspect", root / "tests/data/svg/08_no_size.svg")
check("size assumed", assumed["unit_source"] == "assumed" and assumed["per_inch"] == 96 and assumed["size_mm"] == [127.0, 101.6])
at_90 = report("inspect", root / "tests/data/svg/08_no_size.svg", "--per-inch", 90)
check("per inch 90", abs(at_90["size_mm"][0] - 480 / 90 * 25.4) < 1e-3)
check("the demo can be inspected", report("inspect", demo)["totals"]["contours"] == 8)

parts = report("parts", demo)["parts"]
check("parts are numbered and named", [(p["number"], p["name"]) for p in parts] == [(1, "Card base"), (2, "Lighthouse"), (3, "Cliff"), (4, "Wave border")])
check("a part has all its keys", all(set(p) >= {"number", "name", "stock", "area_mm2", "size_mm", "lines"} for p in parts))
check("the card's size", parts[0]["size_mm"] == [254.0, 101.6] and parts[0]["stock"] == "cloud-card")
check("every contour once", sum(p["contours"] for p in parts) == 27)
plain = report("parts", root / "tests/data/svg/12_fill_rules.svg")["parts"]
check("a plain drawing has parts as well", plain and all(p["area_mm2"] > 0 for p in plain))
check("in words", "Lighthouse" in run("parts", demo).stdout and "contours" in run("parts", demo).stdout)

with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    out = folder / "p.dotlane"
    made = report("import", root / "demo/art/lighthouse-card.svg", "-o", out, "--split-layers", "--name", "Card", "--stock", "vinyl",
                  "--role", "#a8496f=foil:foil-tip-bold", "--role", "#8a5a00=score", "--role", "#1f6f78=draw:Pencil")
    check("five pieces", made["pieces"] == 5)
    saved = json.loads(out.read_text())
    tools = {l["id"]: (l["role"], l["tool"]) for p in saved["pieces"] for l in p["lines"]}
    check("role and tool by colour", tools["rays"] == ("foil", "foil-tip-bold") and tools["fold"] == ("score", "scoring-tip"))
    check("a tool by its name", tools["swell-1"] == ("draw", "pencil"))
    check("stock and name", saved["name"] == "Card" and all(p["stock"] == "vinyl" for p in saved["pieces"]))
    check("assigned roles are not guesses", not any(l["role_guessed"] for p in saved["pieces"] for l in p["lines"] if l["color"] == "#8a5a00"))
    run("import", root / "tests/data/svg/08_no_size.svg", "-o", out, "--per-inch", 72)
    piece = json.loads(out.read_text())["pieces"][0]
    check("a size that was chosen is settled", piece["source"]["per_inch"] == 72 and piece["source"]["notes"] == [])
    bounds = report("inspect", out)["bounds_mm"]
    check("and read at it", abs(bounds[2] - bounds[0] - 460 / 72 * 25.4) < 1e-3)
    run("import", root / "tests/data/svg/15_negative_and_far.svg", "-o", out)
    check("off the mat is an error", [f["severity"] for f in report("check", out, expect=1)["findings"]][0] == "error")
    run("import", root / "tests/data/svg/06_nested_svg_aspect.svg", "-o", out, "--bring-on")
    run("check", out)
    for bad in (["--role", "#123456=cut"], ["--role", "red"], ["--role", "#222222=draw:wand"], ["--stock", "moonstone"], ["--per-inch", "-3"], ["--oops"]):
        run("import", root / "tests/data/svg/12_fill_rules.svg", "-o", out, *bad, expect=2)
    run("export", demo, "-o", folder / "x.svg", "--pass", 99, expect=2)
    run("export", demo, "-o", folder / "x.svg", "--sheet", 99, expect=2)
    run("export", demo, "-o", folder / "x.svg", "--pass", "one", expect=2)

    # A plain drawing goes the whole road without a project.
    check("plan of a drawing", len(report("plan", root / "demo/art/lighthouse-card.svg")["passes"]) >= 4)

    plan = report("plan", demo)
    check("plan has all its keys", set(plan) >= {"passes", "pauses", "seconds", "swaps", "reasons", "lower_bound_pauses", "optimal"})
    check("a plan so small is proven", plan["optimal"] and plan["lower_bound_pauses"] == plan["pauses"])
    check("cutting says that it comes after the rest", any(r["pass"] == plan["passes"][-1]["index"] and r["why"] == "role" for r in plan["reasons"]))
    check("a pass has all its keys", set(plan["passes"][0]) >= {"index", "sheet", "role", "tool", "holder", "pause_before", "repeats", "contours", "length_mm", "travel_mm", "lifts", "seconds"})
    check("pauses are those before passes", plan["pauses"] == sum(p["pause_before"] for p in plan["passes"]))
    check("running, six tools of 45 s and a mark of 15 s make the whole",
          plan["swaps"] == 7 and abs(plan["running_seconds"] + 45 * 6 + 15 - plan["seconds"]) < 1e-3)
    check("a range of no width where no pace is known", plan["seconds_low"] == plan["seconds"] == plan["seconds_high"])
    paced = json.loads(demo.read_text())
    paced["machine"]["pace"] = {"cut": {"factor": 1.5, "spread": 0.2}}
    (folder / "paced.dotlane").write_text(json.dumps(paced))
    slow = report("plan", folder / "paced.dotlane")
    cutting = sum(p["seconds"] for p in slow["passes"] if p["role"] == "cut")
    check("a pace is in the seconds, its spread in the range",
          abs(slow["seconds"] - plan["seconds"] - cutting / 3) < 0.01 and
          abs(slow["seconds_high"] - slow["seconds"] - 0.2 * cutting) < 0.01)
    check("text tells the range", " to " in run("plan", folder / "paced.dotlane").stdout)
    check("text says the same", f"{len(plan['passes'])} passes, {plan['pauses']} pauses" in run("plan", demo).stdout)
    check("lists", {"fine-blade", "pen-black"} <= {t["id"] for t in report("tools", demo)["tools"]} and len(report("stocks", demo)["stocks"]) == 11)

    # The application's own pictures of its main views, as scripts/demo asks for them where there is no display.
    app = pathlib.Path(cli).with_name("dot-lane")
    if not app.exists():  # only the command line was built
        finish("the command line keeps its word")
    views = folder / "views"
    data = os.environ | {"QT_QPA_PLATFORM": "offscreen", "XDG_DATA_HOME": str(folder / "data")}
    subprocess.run([cli, "log", "import", root / "demo/season.jsonl"], env=data, capture_output=True)
    done = subprocess.run([app, "--pictures", views, demo], capture_output=True, text=True, timeout=guard, env=data)
    check(f"pictures are written: {done.stderr}", done.returncode == 0)
    shots = list(views.glob("*.png"))
    check("a picture of every main view", len(shots) == 12 and all(f.stat().st_size > 20_000 for f in shots))
    bad = subprocess.run([app, "--pictures", views, folder / "none.dotlane"], capture_output=True, text=True, timeout=guard,
                         env=os.environ | {"QT_QPA_PLATFORM": "offscreen"})
    check("pictures of what is not there are refused", bad.returncode == 2 and "none.dotlane" in bad.stderr)
finish("the command line keeps its word")
