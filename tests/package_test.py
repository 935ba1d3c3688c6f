"""The Debian package: built, judged by lintian, desktop-file-validate, appstreamcli and man, unpacked elsewhere, and run
from there, with nothing of the build folder in sight."""
import os
import pathlib
import re
import shutil
import subprocess
import tempfile

from cli_run import check, cli, finish, guard

build = pathlib.Path(cli).resolve().parent.parent
root = pathlib.Path(tempfile.mkdtemp(prefix="dot-lane-package-"))


def run(*words, **more):
    return subprocess.run([str(w) for w in words], capture_output=True, text=True, timeout=guard, **more)


def quiet(what, *words, **more):
    done = run(*words, **more)
    check(f"{what} says: {done.returncode} {done.stdout}{done.stderr}", done.returncode == 0 and not (done.stdout + done.stderr).strip())


made = run("cpack", "--config", build / "CPackConfig.cmake", "-B", root / "out", cwd=build)
check(f"cpack: {made.stdout[-800:]} {made.stderr[-800:]}", made.returncode == 0)
package = next((root / "out").glob("*.deb"))
judged = run("lintian", "--allow-root", "--fail-on", "error,warning", "--tag-display-limit", "0", package)
check(f"lintian: {judged.stdout}{judged.stderr}", judged.returncode == 0)

quiet("dpkg -x", "dpkg", "-x", package, root / "there")
usr = root / "there/usr"
quiet("desktop-file-validate", "desktop-file-validate", usr / "share/applications/org.dotlane.DotLane.desktop")
valid = run("appstreamcli", "validate", "--no-net", usr / "share/metainfo/org.dotlane.DotLane.metainfo.xml")
check(f"appstreamcli: {valid.stdout}{valid.stderr}", valid.returncode == 0)
english_help = run(cli, "--help", env={**os.environ, "LANGUAGE": "en"}).stdout
for page in ("dot-lane", "dot-lane-cli", "dot-lane-simcutter"):
    for folder, says in (("man1", "SEE ALSO"), ("de/man1", "SIEHE AUCH")):
        file = usr / f"share/man/{folder}/{page}.1.gz"
        shown = run("man", "--warnings", "-l", file, env={**os.environ, "MANWIDTH": "80", "LC_ALL": "C.UTF-8"})
        check(f"man {folder} {page}: {shown.stderr}", shown.returncode == 0 and not shown.stderr and page in shown.stdout and says in shown.stdout)
        if page == "dot-lane-cli":  # every command has its entry, in the page's language
            for command in sorted(set(re.findall(r"^  ([a-z][a-z-]*) ", english_help, re.M))):
                check(f"{command} is not in the manual", re.search(rf"^       {command}\b", shown.stdout, re.M))
            check(f"{folder} speaks the wrong language", ("what comes off the sheets" in shown.stdout) == (folder == "man1"))

# The kind of file, as the desktop tells it.
desktop = {**os.environ, "XDG_DATA_DIRS": f"{usr}/share:/usr/share", "XDG_DATA_HOME": str(root / "data")}
quiet("update-mime-database", "update-mime-database", usr / "share/mime", env=desktop)
project = root / "card.dotlane"
shutil.copy(usr / "share/dot-lane/demo/lighthouse-card.dotlane", project)
nameless = root / "nameless"
shutil.copy(project, nameless)
for file in (project, nameless):
    kind = run("gio", "info", "-a", "standard::content-type,standard::icon", file, env=desktop).stdout
    check(f"{file.name} is {kind}", "application/x-dotlane" in kind)
for size in (16, 22, 24, 32, 48, 64, 96, 128, 256, 512):
    for icon in ("apps/dot-lane", "mimetypes/application-x-dotlane"):
        head = (usr / f"share/icons/hicolor/{size}x{size}/{icon}.png").read_bytes()[:24]
        check(f"{icon} of {size}", head[:8] == b"\x89PNG\r\n\x1a\n" and int.from_bytes(head[16:20], "big") == size)

# The programs, where nothing else is known: no home, no build folder.
bare = {"HOME": str(root / "home"), "PATH": f"{usr}/bin:/usr/bin:/bin", "QT_QPA_PLATFORM": "offscreen", "LC_ALL": "C.UTF-8"}
for program in ("dot-lane", "dot-lane-cli", "dot-lane-simcutter"):
    text = (usr / "bin" / program).read_bytes()
    check(f"{program} knows the source tree", str(build).encode() not in text and str(build.parent.parent).encode() not in text)
fonts = run("dot-lane-cli", "fonts", "--json", env=bare)
check(f"fonts: {fonts.stderr}", str(usr / "share/dot-lane/typefaces") in fonts.stdout)
words = run("dot-lane-cli", "shape", "text", "--text", "Lantern", "-o", root / "words.svg", env=bare)
check(f"lettering: {words.stderr}", words.returncode == 0 and (root / "words.svg").stat().st_size > 1000)
tried = run("dot-lane-cli", "dry-run", project, "--json", env=bare)
check(f"dry run: {tried.stderr}", tried.returncode == 0 and '"strokes_missing": 0' in tried.stdout)
shown = run("dot-lane", "--pictures", root / "views", project, env=bare)
views = sorted(file.name for file in (root / "views").glob("*.png"))
check(f"pictures: {shown.returncode}, {views}", shown.returncode == 0 and len(views) >= 10)
# Installed elsewhere and the data by XDG alone.
shutil.copy(usr / "bin/dot-lane-cli", root / "dot-lane-cli")
alone = run(root / "dot-lane-cli", "fonts", "--json", env={**bare, "XDG_DATA_DIRS": f"/nowhere:{usr}/share"})
check("typefaces by XDG_DATA_DIRS", str(usr / "share/dot-lane/typefaces") in alone.stdout)

# The thumbnailer as a file manager starts it.
entry = dict(line.split("=", 1) for line in (usr / "share/thumbnailers/dot-lane.thumbnailer").read_text().splitlines() if "=" in line)
small = root / "small.png"
line = [{"%i": str(project), "%o": str(small), "%s": "128"}.get(word, word) for word in entry["Exec"].split()]
done = run(*line, env=bare)
head = small.read_bytes()
check(f"thumbnail: {done.stderr}", done.returncode == 0 and int.from_bytes(head[16:20], "big") == 128 and len(head) > 1000)

# Completion, in a shell of its own.
file = usr / "share/bash-completion/completions/dot-lane-cli"


def completed(*words):
    script = f'source {file}; COMP_WORDS=("$@"); COMP_CWORD=$(($# - 1)); _dot_lane_cli; printf "%s\\n" "${{COMPREPLY[@]}}"'
    return run("bash", "-c", script, "bash", *words, env=bare).stdout.split()


check(f"commands: {completed('dot-lane-cli', 'in')}", completed("dot-lane-cli", "in") == ["inspect"])
check(f"options: {completed('dot-lane-cli', 'dry-run', '--pi')}", completed("dot-lane-cli", "dry-run", "--pi") == ["--picture-dir"])
shutil.rmtree(root)
finish(f"{package.name} holds what it promises and runs from where it was unpacked")
