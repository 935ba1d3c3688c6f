"""Runs that are broken off at random moments go on at the exact stroke: every stroke is made once, and only once.

Ended are the application, the cutter, both, the line between them; a file system that fills up, and bytes that are
damaged on the way. 200 runs, or as many as DOTLANE_RESUME_ROUNDS says.
"""
import collections
import concurrent.futures
import json
import os
import pathlib
import random
import resource
import shutil
import signal
import subprocess
import sys
import tempfile
import time

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
# Sanitizers, ten times as slow, look for other faults than these.
rounds = int(os.environ.get("DOTLANE_RESUME_ROUNDS", "28" if os.environ.get("DOTLANE_SANITIZED") else "200"))
KINDS = ["application killed", "cutter killed", "both killed", "link lost", "power cut", "disk full", "stream damaged"]
home = pathlib.Path(tempfile.mkdtemp())
SPEED = 120  # times as fast as the machine: the run takes a second or so


def project_with_trail():
    """The demo, one blade of which trails, so that what goes on in the middle of a cut has to be turned in first."""
    text = json.loads((root / "demo/lighthouse-card.dotlane").read_text())
    for tool in text["tools"]:
        if tool["id"] == "fine-blade":
            tool["trail_mm"], tool["overcut_mm"] = 0.6, 1
    path = home / "trailing.dotlane"
    path.write_text(json.dumps(text))
    return path


PROJECTS = [root / "demo/lighthouse-card.dotlane", project_with_trail()]


def children_of(pid):
    out = []
    for stat in pathlib.Path("/proc").glob("[0-9]*/stat"):
        try:
            fields = stat.read_text().rpartition(")")[2].split()
        except OSError:
            continue
        if int(fields[1]) == pid:
            out.append(int(stat.parent.name))
    return out


def end(pid):
    try:
        os.kill(pid, signal.SIGKILL)
    except ProcessLookupError:
        pass


def fill_up(pid):
    """No file of this process can grow any more."""
    try:
        resource.prlimit(pid, resource.RLIMIT_FSIZE, (1, resource.RLIM_INFINITY))
    except ProcessLookupError:
        pass


def one(number):
    chance = random.Random(number)
    kind = KINDS[number % len(KINDS)]
    project = PROJECTS[number // len(KINDS) % len(PROJECTS)]
    folder = home / f"run-{number}"
    words = [cli, "dry-run", str(project), "--json", "--physics", "on", "--seed", str(number), "--speed", str(SPEED)]
    begun = words + ["--journal", str(folder)]
    moment = chance.random()
    if kind == "link lost":
        begun += ["--fault", f"link@{100 * moment}%", "--fault", f"link@{100 * chance.random()}%"]
    elif kind == "power cut":
        begun += ["--fault", f"power@{100 * moment}%"]
    elif kind == "stream damaged":
        begun += ["--fault", f"garbage@{100 * moment / 2}%", "--fault", f"power@{100 * moment}%"]
    environment = dict(os.environ, XDG_DATA_HOME=str(home / "data"), QT_QPA_PLATFORM="offscreen")

    def with_a_disk_that_may_fill_up():
        signal.signal(signal.SIGXFSZ, signal.SIG_IGN)

    process = subprocess.Popen(begun, stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True, env=environment,
                               preexec_fn=with_a_disk_that_may_fill_up)
    if "killed" in kind or kind == "disk full":
        while not (folder / "mat.jsonl").exists() and process.poll() is None:
            time.sleep(0.005)
        time.sleep(moment * 0.6)
        cutters = children_of(process.pid)
        if kind in ("application killed", "both killed"):
            end(process.pid)
        if kind in ("cutter killed", "both killed"):
            for pid in cutters:
                end(pid)
        if kind == "disk full":  # for the application, for the cutter, for both
            which = chance.randrange(3)
            for pid in ([process.pid] if which != 1 else []) + (cutters if which != 0 else []):
                fill_up(pid)
    out, err = process.communicate(timeout=600)
    broken_off = process.returncode != 0
    report = json.loads(out) if out.strip() and not broken_off else {}
    if broken_off:
        if not (folder / "journal.jsonl").exists() or (folder / "journal.jsonl").stat().st_size == 0:
            return kind, "nothing begun", ""
        for _ in range(5):
            again = subprocess.run(words + ["--resume", str(folder)], capture_output=True, text=True, timeout=600,
                                   env=environment)
            if again.returncode == 0:
                report = json.loads(again.stdout)
                break
            err = again.stderr or again.stdout
    if report.get("outcome") != "done":
        return kind, "not done", f"run {number}: {err[-300:]}"
    if report["strokes_missing"] or report["strokes_twice"] or not report["strokes_made"]:
        return kind, "not once", f"run {number}: {report}"
    shutil.rmtree(folder, ignore_errors=True)
    return kind, "broken off, every stroke once" if broken_off or report["resumed"] else "not broken off", ""


counts, faults = collections.Counter(), []
with concurrent.futures.ThreadPoolExecutor(6) as pool:
    for kind, came_of_it, fault in pool.map(one, range(rounds)):
        counts[kind, came_of_it] += 1
        if fault:
            faults.append(f"{kind}: {came_of_it}: {fault}")
for (kind, came_of_it), n in sorted(counts.items()):
    print(f"{n:5} {kind}: {came_of_it}")
once = sum(n for (_, what), n in counts.items() if what == "broken off, every stroke once")
print(f"{rounds} runs, {once} broken off and gone on with")
if once < rounds / 2:
    faults.append("too few runs were broken off to prove anything")
print("\n".join(faults))
shutil.rmtree(home, ignore_errors=True)
sys.exit(1 if faults else 0)
