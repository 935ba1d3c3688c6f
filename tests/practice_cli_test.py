"""Calibration sheets and exercises from the command line: a cutter with known faults is calibrated by what its dry run
tells, exercises are judged, the workshop of one project goes into another."""
import json
import pathlib
import tempfile

from cli_run import check, finish, report, root, run

folder = pathlib.Path(tempfile.mkdtemp())
demo = root / "demo/lighthouse-card.dotlane"

kinds = report("calibrate")
check("eight sheets", len(kinds) == 8)
for kind in kinds:
    sheet = folder / f"{kind['kind']}.dotlane"
    run("calibrate", kind["kind"], demo, "-o", sheet)
    plan = report("plan", sheet)
    check(f"{kind['kind']} is ready to run", len(plan["passes"]) >= 1)
    findings = report("check", sheet)
    check(f"{kind['kind']} has no error", not any(f["severity"] == "error" for f in findings["findings"]))
    told = report("calibrate", kind["kind"], demo)
    check(f"{kind['kind']} says what is read", told["fields"] and all(f["what"] for f in told["fields"]))
    done = report("dry-run", sheet)
    check(f"{kind['kind']} runs to its end", done["outcome"] == "done" and done["strokes_missing"] == 0)

# A machine that goes too far, known and not known: what is left of the error is in the dry run.
real = json.loads(demo.read_text())
real["machine"].update(scale_x=1.005, scale_y=0.996, origin_x_mm=0.6, landing_mm=0.0)
really = folder / "real.dotlane"
really.write_text(json.dumps(real))
scale = folder / "scale.dotlane"
before = report("dry-run", scale, "--cutter", really)["deviation_mm"]["max"]
check(f"the fault shows before: {before}", before > 0.8)
run("calibrate", "scale", scale, "--read", "across=201.0mm", "--read", "up=199.2mm", "-o", folder / "one.dotlane")
run("calibrate", "mat-cross", folder / "one.dotlane", "--read", "x=0.6", "--read", "y=0", "-o", folder / "two.dotlane")
after = report("dry-run", folder / "two.dotlane", "--cutter", really)["deviation_mm"]["max"]
check(f"and is gone after: {after}", after < 0.05)
# What was learned goes into the project that it is for.
run("workshop", demo, "--from", folder / "two.dotlane", "-o", folder / "card.dotlane")
card = json.loads((folder / "card.dotlane").read_text())
check("the card has the machine now", abs(card["machine"]["scale_x"] - 1.005) < 1e-9)
check("and its own pieces", len(card["pieces"]) == len(json.loads(demo.read_text())["pieces"]))
check("the card comes out right", report("dry-run", folder / "card.dotlane", "--cutter", really)["deviation_mm"]["max"] < 0.06)

# What cannot be is refused in one line.
for words, says in [(("calibrate", "tip-contakt", demo), "there is no calibration sheet"),
                    (("calibrate", "scale", demo, "--read", "sideways=3", "-o", folder / "x.dotlane"), "across, up"),
                    (("calibrate", "scale", demo, "--read", "across=400", "-o", folder / "x.dotlane"), "from 190 to 210"),
                    (("calibrate", "scale", demo, "--read", "across=wide", "-o", folder / "x.dotlane"), "length"),
                    (("calibrate", "scale", demo, "--read", "across=200"), "-o"),
                    (("calibrate", "scale", demo, "--tool", "blade", "-o", folder / "x.dotlane"), "no tool for that sheet"),
                    (("exercise", "open", "juggling", "-o", folder / "x.dotlane"), "no exercise"),
                    (("exercise", "dance"), "list, open, check"),
                    (("workshop", demo, "-o", folder / "x.dotlane"), "--from"),
                    (("dry-run", demo, "--cutter", really, "--physics", "on"), "--physics")]:
    done = run(*words, expect=2)
    check(f"{words[:3]}: {done.stderr}", says in done.stderr and done.stderr.count("\n") == 1)
check("nothing was written", not (folder / "x.dotlane").exists())

exercises = report("exercise", "list")
check("twelve exercises at least", len(exercises) >= 12)
levels = [e["level"] for e in exercises]
check("from easy to hard", levels == sorted(levels) and set(levels) == {1, 2, 3})
for e in exercises:
    project = folder / f"{e['id']}.dotlane"
    run("exercise", "open", e["id"], "-o", project)
    verdict = report("exercise", "check", e["id"], project, expect=1)
    check(f"{e['id']} is not passed as it comes", not verdict["passed"] and any(not p["holds"] for p in verdict["points"]))
# Solved in the file, as a person would in the window.
project = folder / "chisel-tip.dotlane"
mended = json.loads(project.read_text())
for tool in mended["tools"]:
    if tool["id"] == "chisel-marker":
        tool.update(tip_x_mm=1.1, tip_y_mm=-0.6)
project.write_text(json.dumps(mended))
check("the banner is passed", report("exercise", "check", "chisel-tip", project)["passed"])
finish(f"{len(kinds)} sheets, {len(exercises)} exercises; scale error {before:.2f} mm before, {after:.3f} mm after")
