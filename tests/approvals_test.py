"""What the demos come to, held against what was approved: the plan, the stream for the cutter, the words of the paper.

After a change that is meant, look at the difference and run with `--write` as the last word to approve it.
"""
import difflib
import hashlib
import os
import pathlib
import re
import subprocess
import sys
import tempfile

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
approved = root / "tests/approved"
faults = []


def run(*words):
    done = subprocess.run([str(w) for w in words], capture_output=True, text=True)
    if done.returncode not in (0, 1):
        faults.append(f"{words}: exit {done.returncode}: {done.stderr}")
    return done.stdout


def stream(text):
    """An HPGL stream as a person can compare it: every instruction but the courses in full, each course by its ends."""
    out, courses = [], []

    def settle():  # thousands of courses of one pass are told as one
        if len(courses) > 1000:
            out.append(f"{len(courses)} courses {hashlib.sha256(''.join(courses).encode()).hexdigest()[:12]}")
        else:
            out.extend(courses)
        courses.clear()

    for line in text.splitlines():
        if not re.fullmatch(r"[PUD\d,.;-]+", line) or len(text) < 20_000:
            settle()
            out.append(line)
            continue
        points = re.findall(r"-?[\d.]+,-?[\d.]+", line)
        courses.append(f"{points[0]} to {points[-1]}, {len(points)} points, {hashlib.sha256(line.encode()).hexdigest()[:12]}" if points else line)
    settle()
    return "\n".join(out) + "\n"


def compare(name, text):
    file = approved / name
    if sys.argv[-1] == "--write":
        file.write_text(text)
        return
    was = file.read_text() if file.exists() else ""
    if was != text:
        changes = list(difflib.unified_diff(was.splitlines(), text.splitlines(), f"approved {name}", "now", lineterm="", n=1))
        faults.append("\n".join(changes[:40]))


with tempfile.TemporaryDirectory() as folder:
    folder = pathlib.Path(folder)
    demos = sorted((root / "demo").glob("*.dotlane"))
    # Under sanitizers, which take ten times as long, the small ones.
    small = {"lighthouse-card", "moorings-tag", "little-gulls", "fish-pennant", "fern-stencil", "painted-lantern", "fair-invitation"}
    for demo in demos:
        if os.environ.get("DOTLANE_SANITIZED") and demo.stem not in small:
            continue
        compare(f"{demo.stem}.plan.json", run(cli, "plan", demo, "--json"))
        compare(f"{demo.stem}.findings.json", run(cli, "check", demo, "--json"))
        run(cli, "export", demo, "-o", folder / "job.hpgl")
        compare(f"{demo.stem}.hpgl.txt", stream((folder / "job.hpgl").read_text()))
        run(cli, "export", demo, "-o", folder / "job.pdf")
        compare(f"{demo.stem}.pdf.txt", run("pdftotext", "-layout", folder / "job.pdf", "-"))
    if len(demos) != 12:
        faults.append(f"{len(demos)} demos")
print("\n".join(faults) or "all demos come to what was approved")
sys.exit(1 if faults else 0)
