"""What to set now: the mode of the model against scipy's own minimiser on the same passes, the model written down once
more from its description; and the command's answer beside it."""
import json
import pathlib
import random
import tempfile

import numpy as np
from scipy.optimize import minimize
from scipy.special import expit

from cli_run import check, finish, report, run

folder = pathlib.Path(tempfile.mkdtemp())
chance = random.Random(7)
worst = 0
for case in range(3):
    book = folder / f"book-{case}.sqlite"
    lines = []
    for n in range(25 + 20 * case):
        stock, thick = chance.choice([("cover-65", 0.24), ("cover-80", 0.30), ("paper", 0.10), ("felt-own", 1.1)])
        force, depth = chance.randint(6, 50) * 5, chance.randint(1, 8)
        needs = {"cover-65": 120, "cover-80": 155, "paper": 45, "felt-own": 190}[stock] * np.exp(chance.gauss(0, 0.1))
        deep = {"cover-65": 3.2, "cover-80": 4.1, "paper": 0.9, "felt-own": 5.2}[stock]
        margin = min(force / needs, depth / deep)
        out = "weak" if margin < 1 else "strong" if margin > 1.5 else "good"
        lines.append(json.dumps({"job": f"j{n}", "begun": f"2026-05-01T{n % 24:02}:00:00", "project": "Fair", "outcome": "done",
                                 "passes": [{"pass": 1, "role": "cut", "tool": "blade", "stock": stock, "thickness_mm": thick,
                                             "grammage_gsm": 0 if stock == "felt-own" else 700 * thick, "force_gf": force,
                                             "depth": depth, "repeats": chance.choice([1, 1, 1, 2]), "speed_mm_s": 50,
                                             "came_out": chance.choice(["torn", out]) if out == "strong" else out}]}))
    (folder / "runs.jsonl").write_text("\n".join(lines) + "\n")
    run("log", "import", folder / "runs.jsonl", "--logbook", book)
    told = report("log", "suggest", "--stock", "cover-65", "--tool", "blade", "--role", "cut", "--model", "--logbook", book)
    model = told["model"]
    stocks, tried = model["stocks"], model["tried"]
    n = len(stocks)
    mean = np.concatenate([[np.log(max(1, s["preset_force_gf"]) * .85) for s in stocks],
                           [np.log(max(.5, s["preset_depth"]) * .85) for s in stocks],
                           [np.log(14), np.log(14), np.log(.5), np.log(.45)]])

    def step(p, q, by):
        return np.log(p / q) / by if p > 0 and q > 0 else 0

    cov = np.array([[.35 ** 2 * np.exp(-(step(a["thickness_mm"], b["thickness_mm"], .35) ** 2
                                         + step(a["grammage_gsm"], b["grammage_gsm"], .35) ** 2
                                         + (0 if a["kind"] == b["kind"] else 1.2) ** 2) / 2)
                     + (.12 ** 2 if i == j else 0) for j, b in enumerate(stocks)] for i, a in enumerate(stocks)])
    precise = np.linalg.inv(cov)
    spread = np.array([.35, .35, .3, .3])

    def cost(at):
        off = at - mean
        out = off[:n] @ precise @ off[:n] / 2 + off[n:2 * n] @ precise @ off[n:2 * n] / 2 + np.sum((off[2 * n:] / spread) ** 2) / 2
        a, b, c, k = np.exp(at[2 * n:])
        for t in tried:
            xf = np.log(t["force_gf"]) + c * np.log(t["repeats"]) - at[t["stock"]]
            xd = np.log(t["depth"]) - at[n + t["stock"]]
            through = expit(a * xf) * expit(b * xd)
            into = expit(a * (xf - k)) * expit(b * (xd - k))
            p = {"weak": 1 - through, "good": through - into}.get(t["came_out"], into)
            out -= np.log(max(1e-9, p))
        return out

    check(f"case {case}: the cost is the same function", abs(cost(np.array(model["mode"])) - model["cost"]) < 1e-6)
    best = minimize(cost, mean, method="BFGS", options={"gtol": 1e-7, "maxiter": 5000})
    again = minimize(cost, np.array(model["mode"]), method="BFGS", options={"gtol": 1e-7, "maxiter": 5000})
    found = min(best.fun, again.fun)
    check(f"case {case}: {model['cost']:.6f} against {found:.6f}", model["cost"] < found + 1e-3)
    off = np.max(np.abs(again.x - np.array(model["mode"])))
    worst = max(worst, off)
    check(f"case {case}: parameters {off:.5f} apart", off < 0.02)
    check("the answer is a setting", 10 <= told["force_gf"] <= 350 and told["depth"] >= 1 and 0 < told["confidence"] <= 1)
    check("it says from how many", told["from_runs"] == sum(stocks[t["stock"]]["id"] == "cover-65" for t in tried))
finish(f"3 fits, parameters at most {worst:.5f} from scipy's")
