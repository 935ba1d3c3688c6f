"""Every writer x {full disk, read-only folder, read-only file, unwritable output}: exit 2, one line that names the file,
and the old file untouched; and where nothing is wrong, the old file is replaced.

A full disk is played by a limit on the size of files (setrlimit); permissions by leaving root where the test is run as
root."""
import os
import pathlib
import resource
import shutil
import signal
import subprocess
import sys
import tempfile

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
demo, drawing = root / "demo/lighthouse-card.dotlane", root / "tests/data/svg/01_basic_shapes_mm.svg"
WRITERS = {
    "svg": ["export", demo, "-o", "OUT.svg"], "hpgl": ["export", demo, "-o", "OUT.hpgl"], "plt": ["export", demo, "-o", "OUT.plt"],
    "pdf": ["export", demo, "-o", "OUT.pdf"], "png": ["export", demo, "-o", "OUT.png"], "project": ["import", drawing, "-o", "OUT.dotlane"],
    "shape svg": ["shape", "offset", drawing, "--by", "3mm", "-o", "OUT.svg"], "shape project": ["shape", "star", "-o", "OUT.dotlane"],
    "lettering": ["shape", "text", "--text", "Fair", "-o", "OUT.svg"],
}
OLD = b"what was there before"
faults = []


def plain_user():
    if os.geteuid() == 0:
        os.setgroups([])
        os.setgid(65534)
        os.setuid(65534)


def small_disk():
    signal.signal(signal.SIGXFSZ, signal.SIG_IGN)
    resource.setrlimit(resource.RLIMIT_FSIZE, (256, 256))


def attempt(name, words, trouble, folder):
    out = next(w for w in words if str(w).startswith("OUT"))
    path = folder / out
    path.write_bytes(OLD)
    folder.chmod(0o777)
    path.chmod(0o666)
    before = None
    if trouble == "full disk":
        before = small_disk
    elif trouble == "read-only folder":
        folder.chmod(0o555)
        before = plain_user
    elif trouble == "read-only file":
        path.chmod(0o444)
        before = plain_user
    env = dict(os.environ, QT_QPA_PLATFORM="offscreen", XDG_RUNTIME_DIR=str(folder.parent / "run"), HOME=str(folder.parent))
    done = subprocess.run([cli, *(str(path) if w == out else str(w) for w in words)], capture_output=True, text=True, timeout=600,
                          preexec_fn=before, env=env)
    folder.chmod(0o777)
    case = f"{name}, {trouble or 'nothing wrong'}"
    if trouble:
        lines = [l for l in done.stderr.strip().splitlines() if not l.startswith("QStandardPaths")]
        if done.returncode != 2 or len(lines) != 1 or out not in lines[0]:
            faults.append(f"{case}: exit {done.returncode}, {done.stderr!r}")
        if path.read_bytes() != OLD:
            faults.append(f"{case}: the old file is not what it was")
    elif done.returncode != 0 or path.read_bytes() == OLD:
        faults.append(f"{case}: exit {done.returncode}, {done.stderr!r}")
    left = [p.name for p in folder.iterdir() if p.name != out]
    if left:
        faults.append(f"{case}: leaves {left}")


with tempfile.TemporaryDirectory() as base:
    os.chmod(base, 0o755)
    (pathlib.Path(base) / "run").mkdir(mode=0o700)
    if os.geteuid() == 0:
        os.chown(pathlib.Path(base) / "run", 65534, 65534)
    # The program and what it reads may lie where a plain user cannot go: both are copied.
    probe = subprocess.run([cli, "tools", str(demo)], capture_output=True, preexec_fn=plain_user) if os.access(cli, os.X_OK) else None
    plain = probe is not None and probe.returncode == 0
    for name, words in WRITERS.items():
        for trouble in (None, "full disk", *(("read-only folder", "read-only file") if plain else ())):
            folder = pathlib.Path(base) / "out"
            folder.mkdir()
            attempt(name, words, trouble, folder)
            shutil.rmtree(folder)
    if not plain:
        print("note: read-only cases need a plain user who can reach the program; left out")

# Reports onto a full device are errors, too.
for words in (["plan", demo], ["inspect", drawing], ["check", demo], ["tools", demo], ["fonts"], ["help"]):
    for json in ([], ["--json"]):
        with open("/dev/full", "w") as full:
            done = subprocess.run([cli, *map(str, words), *json], stdout=full, stderr=subprocess.PIPE, text=True, timeout=600)
        if done.returncode != 2 or "standard output" not in done.stderr:
            faults.append(f"{words} {json} > /dev/full: exit {done.returncode}, {done.stderr!r}")
# What stands behind an option is its value, wherever the file stands.
with tempfile.TemporaryDirectory() as folder:
    out = pathlib.Path(folder) / "a.svg"
    done = subprocess.run([cli, "shape", "offset", "--by", "3mm", str(drawing), "-o", str(out)], capture_output=True, text=True)
    if done.returncode != 0 or not out.exists():
        faults.append(f"shape offset --by 3mm FILE: exit {done.returncode}, {done.stderr!r}")
print("\n".join(faults) or f"{len(WRITERS)} writers leave the old file alone and say why")
sys.exit(1 if faults else 0)
