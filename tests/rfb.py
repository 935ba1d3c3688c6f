"""Keys and clicks for a program that shows itself by Qt's own VNC platform: real events to the real program, no display.

RFB 3.3 as in RFC 6143: only what sending input needs.
"""
import os
import socket
import struct
import subprocess
import time

NAMES = {"ctrl": 0xFFE3, "alt": 0xFFE9, "shift": 0xFFE1, "enter": 0xFF0D, "escape": 0xFF1B, "f6": 0xFFC3, "space": 0x20,
         "left": 0xFF51, "up": 0xFF52, "right": 0xFF53, "down": 0xFF54, "delete": 0xFFFF, "tab": 0xFF09}


def free_port():
    with socket.socket() as s:
        s.bind(("127.0.0.1", 0))
        return s.getsockname()[1]


class Shown:
    """A program under way; everything that it keeps goes to folders of its own."""

    def __init__(self, program, home, *words):
        for folder in ("data", "config", "cache", "run"):
            (home / folder).mkdir(parents=True, exist_ok=True)
        (home / "run").chmod(0o700)
        port = free_port()
        environment = {k: v for k, v in os.environ.items() if k not in ("DISPLAY", "WAYLAND_DISPLAY")} | {
            "QT_QPA_PLATFORM": f"vnc:port={port}:size=1280x800", "HOME": str(home), "XDG_DATA_HOME": str(home / "data"),
            "XDG_CONFIG_HOME": str(home / "config"), "XDG_CACHE_HOME": str(home / "cache"), "XDG_RUNTIME_DIR": str(home / "run")}
        self.program = subprocess.Popen([str(program), *map(str, words)], env=environment, stdout=subprocess.DEVNULL,
                                        stderr=subprocess.DEVNULL)
        for _ in range(200):
            try:
                self.socket = socket.create_connection(("127.0.0.1", port), timeout=10)
                break
            except OSError:
                if self.program.poll() is not None:
                    raise RuntimeError(f"the program ended with {self.program.returncode} before it showed itself")
                time.sleep(0.05)
        else:
            raise RuntimeError("the program did not show itself within 10 s")
        self.take(12)
        self.socket.sendall(b"RFB 003.003\n")
        if struct.unpack(">I", self.take(4))[0] != 1:
            raise RuntimeError("no security expected")
        self.socket.sendall(b"\x01")
        _, _, length = struct.unpack(">HH16xI", self.take(24))
        self.take(length)
        time.sleep(0.3)

    def take(self, n):
        out = b""
        while len(out) < n:
            more = self.socket.recv(n - len(out))
            if not more:
                raise RuntimeError("the program hung up")
            out += more
        return out

    def keys(self, *chords):
        """Each chord such as "ctrl+s" is pressed and let go."""
        for chord in chords:
            codes = [NAMES.get(k, ord(k[0])) for k in chord.split("+")]
            for down, order in ((1, codes), (0, reversed(codes))):
                for code in order:
                    self.socket.sendall(struct.pack(">BBxxI", 4, down, code))
            time.sleep(0.08)

    def click(self, x, y):
        for buttons in (0, 1, 0):
            self.socket.sendall(struct.pack(">BBHH", 5, buttons, x, y))
            time.sleep(0.05)

    def kill(self):
        """Without a chance to put things in order."""
        self.program.kill()
        self.program.wait()
        self.socket.close()

    def __enter__(self):
        return self

    def __exit__(self, *_):
        if self.program.poll() is None:
            self.kill()
