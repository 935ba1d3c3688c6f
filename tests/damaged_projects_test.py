"""Projects with damaged digits: each is read and checked, or refused with one line, within bounded time and memory.

The damage is the same on every run: digits of the demos are changed, doubled or dropped by a seeded generator. With
--all as the last word 106 of each demo are tried, else every eighth of them, under sanitizers every sixteenth."""
import os
import pathlib
import random
import re
import resource
import subprocess
import sys
import tempfile
import time

from bounds import memory, seconds

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
every = 1 if sys.argv[-1] == "--all" else 16 if os.environ.get("DOTLANE_SANITIZED") else 8
SECONDS = seconds(20)


def damaged(text, chance):
    """The document with one to four of its numbers damaged; each stays a number, so that it is not the parser that
    refuses it."""
    for _ in range(chance.randint(1, 4)):
        # Most numbers are coordinates; the others are tried as often.
        pattern = r"(?<![\w#.-])-?\d+(?:\.\d+)?(?![\w.])" if chance.random() < 0.4 else r'(?<=": )-?\d+(?:\.\d+)?(?![\w.])|(?<=^   {10})-?\d+(?:\.\d+)?(?![\w.])'
        m = chance.choice(list(re.finditer(pattern, text, re.M)))
        old = m.group()
        whole = "." not in old
        at = chance.randrange(len(old))
        swapped = old[:at] + chance.choice("123456789") + old[at + 1:] if old[at].isdigit() else old
        value = chance.choice([float(old) * 10 ** chance.randint(1, 6), float(old) / 10 ** chance.randint(1, 6), -float(old), 0.0, float(swapped)])
        text = text[:m.start()] + (str(int(value)) if whole else repr(value)) + text[m.end():]
    return text


faults, read, refused, slowest, fattest = [], 0, 0, 0.0, 0
with tempfile.TemporaryDirectory() as folder:
    for n, demo in enumerate(sorted((root / "demo").glob("*.dotlane"))):
        whole = demo.read_text()
        for k in range(106):
            chance = random.Random(1000 * n + k)
            text = damaged(whole, chance)
            if (106 * n + k) % every:
                continue
            path = pathlib.Path(folder) / f"{demo.stem}-{k}.dotlane"
            path.write_text(text)
            start = time.monotonic()
            before = resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss
            try:
                done = subprocess.run([cli, "check", str(path)], capture_output=True, text=True, timeout=SECONDS, preexec_fn=memory(3))
            except subprocess.TimeoutExpired:
                faults.append(f"{path.name}: took longer than {SECONDS} s")
                continue
            slowest = max(slowest, time.monotonic() - start)
            fattest = max(fattest, resource.getrusage(resource.RUSAGE_CHILDREN).ru_maxrss)
            if done.returncode in (0, 1):
                read += 1
            elif done.returncode == 2 and len(done.stderr.strip().splitlines()) == 1 and path.name in done.stderr:
                refused += 1
            else:
                faults.append(f"{path.name}: exit {done.returncode}, {done.stderr[-300:]!r}")
print("\n".join(faults) or f"{read} read, {refused} refused; the slowest took {slowest:.1f} s, the largest {fattest // 1024} MB")
sys.exit(1 if faults or read + refused < 50 else 0)
