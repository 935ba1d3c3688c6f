"""Running dot-lane-cli for the tests of the command line, and gathering what is wrong."""
import json
import pathlib
import subprocess
import sys

root, cli = pathlib.Path(sys.argv[1]), sys.argv[2]
faults = []
# Ends what hangs. Not a measure: a busy machine with sanitizers takes ten times as long as a quiet one.
guard = 600


def run(*words, expect=0):
    done = subprocess.run([cli, *map(str, words)], capture_output=True, text=True, timeout=guard)
    if expect is not None and done.returncode != expect:
        faults.append(f"{words}: exit {done.returncode}, expected {expect}: {done.stderr}")
    return done


def report(*words, expect=0):
    return json.loads(run(*words, "--json", expect=expect).stdout or "{}")


def check(what, good):
    if not good:
        faults.append(what)


def finish(all_well):
    print("\n".join(faults) or all_well)
    sys.exit(1 if faults else 0)
