"""A program that writes the logbook is killed at random moments, or its disk fills up: no run that it said was kept is
lost, none is half there, and the file is sound each time. Several that write at once do not lose each other's runs. DOTLANE_KILL_MOMENTS says how often it is stopped (500)."""
import json
import os
import pathlib
import random
import resource
import signal
import subprocess
import tempfile
import time

from cli_run import check, cli, finish, guard, report

moments = int(os.environ.get("DOTLANE_KILL_MOMENTS", "60" if os.environ.get("DOTLANE_SANITIZED") else "500"))
chance = random.Random(16)
folder = pathlib.Path(tempfile.mkdtemp())


def run_line(n):
    passes = [{"pass": k, "role": "cut", "tool": "blade", "tool_name": "Blade", "tool_kind": "blade", "stock": "felt",
               "stock_name": "Felt", "thickness_mm": 1.0, "grammage_gsm": 200.0, "holder": 1, "force_gf": 100.0 + k,
               "speed_mm_s": 50.0, "depth": 3.0, "repeats": 1, "planned_s": 10.0, "real_s": 11.5, "lifts": 4,
               "metres": 0.25 * k, "came_out": "good"} for k in range(1, 13)]
    return json.dumps({"job": f"run-{n}", "begun": f"2026-04-{1 + n % 28:02}T10:00:00", "project": "Pennant", "file": "",
                       "project_key": f"p{n % 4}", "machine": "m", "rehearsed": False, "test_cut": False,
                       "outcome": "done", "parts": 1, "planned_s": 120.0, "real_s": 138.0, "strokes": 48, "missing": 0,
                       "farthest_mm": 0.01, "weeding": "", "note": "x" * (n % 300), "photos": [], "passes": passes,
                       "pauses": [{"number": 1, "planned_s": 45.0, "real_s": 50.0}],
                       "sheets": [{"sheet": 1, "stock": "felt", "width_mm": 280.0, "height_mm": 280.0, "shelf": 0,
                                   "scrap": False}]})


many = 40
source = folder / "season.jsonl"
projects = [json.dumps({"project_key": f"p{k}", "project": chance.randbytes(9000).hex()}) for k in range(4)]
source.write_text("\n".join(projects + [run_line(n) for n in range(many)]) + "\n")


def take(book, limit=None):
    def small_disk():
        signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
        resource.setrlimit(resource.RLIMIT_FSIZE, (limit, limit))
    return subprocess.Popen([cli, "log", "import", str(source), "--tell", "--logbook", str(book)],
                            stdout=subprocess.PIPE, stderr=subprocess.PIPE, text=True,
                            preexec_fn=small_disk if limit else None)


begun = time.monotonic()
take(folder / "timing.sqlite").communicate()
whole = time.monotonic() - begun
size = (folder / "timing.sqlite").stat().st_size

killed = filled = through = lost = half = unsound = kept_in_all = n = 0
while killed + filled < moments:
    n += 1
    book = folder / f"book-{n}.sqlite"
    parts = chance.randint(1, 3)  # it is killed, begun again, killed again
    told = 0
    for _ in range(parts):
        full = chance.random() < 0.2
        process = take(book, chance.randint(4096, int(size * 1.2)) if full else None)
        if not full:
            time.sleep(chance.random() * whole * 1.1)
            process.kill()
        out = process.communicate(timeout=guard)[0]
        told = max(told, out.count("kept "))
        filled += full and process.returncode != 0
        killed += process.returncode == -signal.SIGKILL
        through += process.returncode == 0
    kept_in_all += told
    sound = report("log", "check", "--logbook", book)
    unsound += not sound.get("sound", False)
    exported = folder / "out.jsonl"
    subprocess.run([cli, "log", "export", "-o", str(exported), "--logbook", str(book)], check=True)
    there = {}
    for line in exported.read_text().splitlines():
        one = json.loads(line)
        if "job" in one:
            there[one["job"]] = one
        else:
            half += len(one["project"]) != 18000
    lost += sum(f"run-{k}" not in there for k in range(told))
    half += sum(len(one["passes"]) != 12 or len(one["pauses"]) != 1 or len(one["sheets"]) != 1 for one in there.values())
    for path in folder.glob(f"book-{n}.sqlite*"):
        path.unlink()
check(f"{lost} runs lost", lost == 0)
check(f"{half} half there", half == 0)
check(f"{unsound} files not sound", unsound == 0)
check("hardly any was killed", killed > moments / 2)
check("no disk filled up", filled > moments / 20)

# Four programs write into one file at once, each its own runs, while a fifth reads: all of all is there.
shared, writers, each = folder / "shared.sqlite", 4, 25
sources = []
for w in range(writers):
    sources.append(folder / f"part-{w}.jsonl")
    sources[-1].write_text("\n".join(projects + [run_line(1000 * (w + 1) + n) for n in range(each)]) + "\n")
at_once = [subprocess.Popen([cli, "log", "import", str(s), "--logbook", str(shared)], stdout=subprocess.DEVNULL,
                            stderr=subprocess.PIPE, text=True) for s in sources]
while any(p.poll() is None for p in at_once):
    report("log", "list", "--logbook", shared)
for process in at_once:
    said = process.communicate(timeout=guard)[1]
    check(f"a writer beside others: {said}", process.returncode == 0)
listed = report("log", "list", "--logbook", shared)
check(f"{len(listed)} runs of {writers * each} written at once", len(listed) == writers * each)
check("the shared file is sound", report("log", "check", "--logbook", shared).get("sound"))
finish(f"{n} logbooks: {killed} programs killed, {filled} stopped by a full disk, {through} came through; "
       f"{kept_in_all} runs said to be kept, {lost} lost, {half} half there")
