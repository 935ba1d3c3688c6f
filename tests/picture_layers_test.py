"""Pictures taken apart by colour, judged on real drawings (Debian's openclipart-svg) of few flat colours: librsvg draws
them soft, noise is put on, dot-lane-cli traces that, and what it made is held against the drawing drawn hard: how much of
the area has the colour it should have, and how far from the drawing's own edges the rest lies."""
import os
import pathlib
import random
import re
import struct
import subprocess
import tempfile
import zlib

import numpy as np
from scipy import ndimage

from cli_run import check, cli, finish

WIDTH, NOISE, BLUR = 400, 4.0, 0.7
folder = pathlib.Path("/usr/share/openclipart/svg")
if not folder.is_dir():
    folder = pathlib.Path("/usr/share/openclipart")


def png_bytes(rgb):
    """8-bit RGB, no filters (PNG specification, third edition, sections 5 and 11)."""
    chunk = lambda kind, data: struct.pack(">I", len(data)) + kind + data + struct.pack(">I", zlib.crc32(kind + data))
    h, w, _ = rgb.shape
    rows = b"".join(b"\0" + row.tobytes() for row in rgb)
    return (b"\x89PNG\r\n\x1a\n" + chunk(b"IHDR", struct.pack(">IIBBBBB", w, h, 8, 2, 0, 0, 0)) + chunk(b"IDAT", zlib.compress(rows)) +
            chunk(b"IEND", b""))


def drawn(svg, hard):
    """Height x width x 3 of the drawing on white, by librsvg and poppler; hard: without soft edges."""
    page = subprocess.run(["rsvg-convert", "-f", "pdf"], input=svg, capture_output=True, timeout=60)
    if page.returncode or not page.stdout:
        return None
    soft = ["-aa", "no", "-aaVector", "no"] if hard else []
    done = subprocess.run(["pdftoppm", "-singlefile", "-scale-to-x", str(WIDTH), "-scale-to-y", "-1", *soft], input=page.stdout, capture_output=True, timeout=60)
    head = re.match(rb"P6\s+(\d+)\s+(\d+)\s+255\s", done.stdout)
    if not head:
        return None
    w, h = int(head[1]), int(head[2])
    return np.frombuffer(done.stdout, np.uint8, w * h * 3, head.end()).reshape(h, w, 3)


def lab(rgb):
    """CIELAB for D65 (IEC 61966-2-1, CIE 15)."""
    c = rgb.astype(float) / 255
    c = np.where(c <= 0.04045, c / 12.92, ((c + 0.055) / 1.055) ** 2.4)
    xyz = c @ np.array([[0.4124564, 0.2126729, 0.0193339], [0.3575761, 0.7151522, 0.1191920], [0.1804375, 0.0721750, 0.9503041]])
    f = xyz / np.array([0.95047, 1, 1.08883])
    f = np.where(f > 0.008856, np.cbrt(f), 7.787 * f + 16 / 116)
    return np.stack([116 * f[..., 1] - 16, 500 * (f[..., 0] - f[..., 1]), 200 * (f[..., 1] - f[..., 2])], -1)


candidates = []
for path in random.Random(11).sample(sorted(folder.rglob("*.svg")), 6000):
    text = path.read_bytes()
    if len(text) > 200_000 or re.search(rb"Gradient|opacity|filter|<image|mask|pattern|<!ENTITY", text):
        continue
    fills = set(re.findall(rb"fill[:=]\"?(#[0-9a-fA-F]{6})", text))
    if 3 <= len(fills) <= 7:
        candidates.append(path)
count = 12 if os.environ.get("DOTLANE_SANITIZED") else 40
shares, far, names, small = [], [], [], 0
with tempfile.TemporaryDirectory() as work:
    for path in candidates:
        if len(shares) == count:
            break
        svg = path.read_bytes()
        truth, soft = drawn(svg, True), drawn(svg, False)
        if truth is None or soft is None or truth.shape != soft.shape or truth.shape[0] > 3 * WIDTH:
            continue
        colors, amounts = np.unique(truth.reshape(-1, 3), axis=0, return_counts=True)
        there = amounts > 0.004 * truth.shape[0] * truth.shape[1]
        if not 3 <= there.sum() <= 8:
            continue
        told = lab(colors[there])
        if min(np.linalg.norm(a - b) for i, a in enumerate(told) for b in told[:i]) < 18:
            continue  # its own colours can hardly be told apart
        noisy = ndimage.gaussian_filter(soft.astype(float), (BLUR, BLUR, 0)) + np.random.default_rng(7).normal(0, NOISE, soft.shape)
        picture, out = pathlib.Path(work) / "in.png", pathlib.Path(work) / "out.svg"
        picture.write_bytes(png_bytes(np.clip(np.round(noisy), 0, 255).astype(np.uint8)))
        done = subprocess.run([cli, "shape", "trace", str(picture), "-o", str(out), "--colors", "several", "--layers", str(int(there.sum())), "--meet", "abut"],
                              capture_output=True, text=True, timeout=300)
        check(f"{path.name}: {done.stderr}", done.returncode == 0)
        if done.returncode:
            continue
        made = drawn(out.read_bytes(), True)
        if made is None:
            check(f"{path.name}: what was traced cannot be drawn", False)
            continue
        h, w = min(made.shape[0], truth.shape[0]), min(made.shape[1], truth.shape[1])
        apart = np.linalg.norm(lab(made[:h, :w]) - lab(truth[:h, :w]), axis=-1)
        wrong = apart > 15
        edge = np.zeros((h, w), bool)
        edge[:, 1:] |= (truth[:h, 1:w] != truth[:h, :w - 1]).any(-1)
        edge[1:] |= (truth[1:h, :w] != truth[:h - 1, :w]).any(-1)
        away = ndimage.distance_transform_edt(~edge)
        shares.append(1 - wrong.mean())
        far.append((wrong & (away > 2)).mean())
        names.append(path.name)
        text = out.read_text()
        paints = re.findall(r'(?:fill|stroke)[:=]"?(#[0-9a-f]{6})', text)
        told = lab(np.array([[int(p[i:i + 2], 16) for i in (1, 3, 5)] for p in sorted(set(paints))], np.uint8).reshape(-1, 3))
        close = [np.linalg.norm(a - b) for i, a in enumerate(told) for b in told[:i]]
        small += bool(close) and min(close) < 6
worst = sorted(zip(shares, names))[:4]
print("least: " + ", ".join(f"{name} {100 * share:.1f} %" for share, name in worst))
check(f"only {len(shares)} drawings were found", len(shares) >= count // 2)
check(f"{100 * np.mean(shares):.2f} % of the area has its colour", np.mean(shares) > 0.95)
check(f"{100 * np.mean(far):.2f} % of the area is wrong and more than 2 px from an edge", np.mean(far) < 0.02)
check(f"{small} have colours that nobody can tell apart", small == 0)
finish(f"{len(shares)} pictures: {100 * np.mean(shares):.2f} % of the area as drawn (median {100 * np.median(shares):.2f} %), "
       f"{100 * np.mean(far):.2f} % wrong away from edges")
