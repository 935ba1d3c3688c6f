#!/usr/bin/python3
"""A cutter that misbehaves as told: DOTLANE_CUTTER names what it does. Speaks device/wire.hpp until then."""
import json
import os
import socket
import sys
import tempfile
import time

what = os.environ["DOTLANE_CUTTER"]
if what == "dies-at-once":
    sys.exit(3)
if what == "never-listens":
    time.sleep(60)
name = sys.argv[sys.argv.index("--socket") + 1]
path = os.path.join(tempfile.gettempdir(), name)
server = socket.socket(socket.AF_UNIX)
server.bind(path)
server.listen(1)
print("listening", flush=True)
client, _ = server.accept()
os.unlink(path)


def say(**message):
    client.sendall((json.dumps(message) + "\n").encode())


def silence():
    client.settimeout(60)
    try:
        while client.recv(65536):
            pass
    except OSError:
        pass
    sys.exit(0)


if what == "silent-from-the-start":
    silence()
if what == "rubbish-first":
    client.sendall(b"\x00\xff not json\n")
    silence()
say(ev="ready", window=65536)
client.recv(65536)
say(ev="progress", x=1, y=1, down=True, seconds=0.1, tool="t", mat=1, marks=[])
if what == "dies-running":
    sys.exit(1)
if what == "silent-running":
    silence()
if what == "rubbish-running":
    client.sendall(b'{"ev": "progress", "x": "far"}\n')
    silence()
say(ev="pause", number=1, mat=1, holders=["a", "b"])
if what == "dies-paused":
    time.sleep(0.3)
    sys.exit(1)
silence()  # silent-paused: nothing is owed until hands confirm
