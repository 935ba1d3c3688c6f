"""Unsaved work survives the end of the program: the real one is started, worked with by keys, killed and started again."""
import json
import pathlib
import random
import shutil
import sys
import tempfile
import time

from rfb import Shown

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
app = pathlib.Path(cli).with_name("dot-lane")
faults = []


def check(what, good):
    if not good:
        faults.append(what)


def wait_for(what, done, seconds=15):
    end = time.monotonic() + seconds
    while time.monotonic() < end:
        if done():
            return True
        time.sleep(0.05)
    check(what, False)
    return False


def pieces(file):
    try:
        return len(json.loads(pathlib.Path(file).read_text())["pieces"])
    except (OSError, ValueError, KeyError):
        return -1


def left(folder):
    """What a program kept aside in a folder and those below it."""
    return sorted(f for f in folder.rglob("*.autosave"))


def draw_a_shape(shown, folder, before):
    """Draws a rectangle; returns the file in which the program keeps that aside."""
    shown.keys("alt+n", "r")
    wait_for("the new shape is kept aside", lambda: any(pieces(f) == before + 1 for f in left(folder)))
    return next((f for f in left(folder) if pieces(f) == before + 1), None)


def matrix(folder):
    demo = pieces(root / "demo/lighthouse-card.dotlane")

    # Work that has no name yet.
    home = folder / "untitled"
    with Shown(app, home) as shown:
        kept = draw_a_shape(shown, home, 0)
        shown.kill()
    check("untitled work is kept aside after the end", kept and pieces(kept) == 1)
    other = folder / "other.dotlane"
    shutil.copy(root / "demo/stall-sign.dotlane", other)
    with Shown(app, home, other) as shown:  # a start with another project asks nothing and takes nothing away
        time.sleep(0.7)
        shown.kill()
    check("a start with another project leaves untitled work alone", pieces(kept) == 1)
    with Shown(app, home) as shown:  # a look without an answer
        time.sleep(0.7)
        shown.kill()
    check("a start without an answer leaves it alone", any(pieces(f) == 1 for f in left(home)))
    saved = folder / "saved.dotlane"
    with Shown(app, home) as shown:
        time.sleep(0.5)
        shown.keys("f6", "space")  # take it up
        time.sleep(0.7)
        shown.keys("ctrl+s")
        time.sleep(0.7)
        shown.keys(*str(saved), "enter")
        wait_for("what was taken up can be saved", lambda: pieces(saved) == 1)
        wait_for("once saved it is no longer kept aside", lambda: not left(home))

    # Work on a project with a file.
    home, own = folder / "named", folder / "own/card.dotlane"
    own.parent.mkdir()
    shutil.copy(root / "demo/lighthouse-card.dotlane", own)
    with Shown(app, home, own) as shown:
        time.sleep(0.5)
        draw_a_shape(shown, own.parent, demo)
        shown.kill()
    check("the project itself is as it was", pieces(own) == demo)
    with Shown(app, home) as shown:  # started with nothing, and with another project
        time.sleep(0.7)
        shown.kill()
    with Shown(app, home, other) as shown:
        time.sleep(0.7)
        shown.keys("f6", "space")  # were it offered here, this would take it up
        time.sleep(0.7)
        shown.kill()
    check("the work on a project waits beside it", [pieces(f) for f in left(own.parent)] == [demo + 1])
    with Shown(app, home, own) as shown:
        time.sleep(0.7)
        shown.keys("f6", "space")
        time.sleep(0.7)
        shown.keys("ctrl+s")
        wait_for("taken up and saved, it stands in the project", lambda: pieces(own) == demo + 1)
        wait_for("and is no longer kept aside", lambda: not left(own.parent))
        # The same again in one window, with the file hurt while nobody looks.
        shown.keys("alt+n", "h")
        wait_for("a second change is kept aside", lambda: any(pieces(f) == demo + 2 for f in left(own.parent)))
        shown.kill()
    own.write_text(own.read_text()[:2000])
    with Shown(app, home, own) as shown:
        time.sleep(0.7)
        shown.keys("f6", "space")
        time.sleep(0.7)
        shown.keys("ctrl+s")
        wait_for("an unreadable project is had back from what was kept aside", lambda: pieces(own) == demo + 2)

    # Killed at any moment, what is kept aside is whole: an old state or a newer one, never a part.
    chance = random.Random(7)
    home = folder / "often"
    most = demo + 2
    for last in (False, False, False, True):
        with Shown(app, home, own) as shown:
            time.sleep(0.4)
            shown.keys("f6", "space")
            time.sleep(0.5)
            for _ in range(6):
                shown.keys("alt+n", "s")
            if last:
                wait_for("some of it is kept aside", lambda: any(pieces(f) > most for f in left(own.parent)))
            else:
                time.sleep(chance.uniform(0, 1.2))
            shown.kill()
        states = [pieces(f) for f in left(own.parent)]
        check(f"what is kept aside can be read: {states}", all(n >= demo + 2 for n in states))
        check(f"nothing that was kept aside is lost: {states}, had {most}", not states or max(states) >= most)
        most = max([most] + states)
    check("the project itself can be read", pieces(own) == demo + 2)

    # Two programs on one project: the one that saves later is asked, and neither overwrites what the other kept aside.
    home, twice = folder / "two", folder / "twice/card.dotlane"
    twice.parent.mkdir()
    shutil.copy(root / "demo/lighthouse-card.dotlane", twice)
    with Shown(app, home, twice) as first, Shown(app, home, twice) as second:
        time.sleep(0.6)
        first.keys("alt+n", "r")
        second.keys("alt+n", "h", "alt+n", "s")
        wait_for("each keeps its own work aside",
                 lambda: sorted(pieces(f) for f in left(twice.parent)) == [demo + 1, demo + 2])
        first.keys("ctrl+s")
        wait_for("the first saves", lambda: pieces(twice) == demo + 1)
        second.keys("ctrl+s")
        time.sleep(1)
        check("the second does not save over it in silence", pieces(twice) == demo + 1)
        second.kill()
    check("and its work is still kept aside", demo + 2 in [pieces(f) for f in left(twice.parent)])


with tempfile.TemporaryDirectory() as folder:
    matrix(pathlib.Path(folder))
print("\n".join(faults) or "unsaved work survives, whatever the state")
sys.exit(1 if faults else 0)
