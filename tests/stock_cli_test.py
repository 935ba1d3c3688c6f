"""The stock book by the command line, on the fair's pennants: reserved, run, used up, the rest back, to the hundredth."""
import json
import pathlib
import tempfile

from cli_run import check, finish, report, root, run

with tempfile.TemporaryDirectory() as name:
    folder = pathlib.Path(name)
    pennants = json.loads((root / "demo/fair-pennants.dotlane").read_text())
    for item in pennants["shelf"]:
        item["price"] = 0.8
    priced, after = folder / "pennants.dotlane", folder / "after.dotlane"
    priced.write_text(json.dumps(pennants))

    shelf = {item["id"]: item for item in report("shelf", "list", priced)}
    reserved = {number: item for number, item in shelf.items() if item["reserved"]}
    check("something is reserved, nothing is to be bought", reserved and not any(i["to_buy"] for i in shelf.values()))
    cost = report("cost", priced)
    lines = cost["lines"]
    check("the lines add up", sum(line["hundredths"] for line in lines) == cost["total_hundredths"])
    sheets = [line["hundredths"] for line in lines if line["what"] == "sheet"]
    back = -sum(line["hundredths"] for line in lines if line["what"] == "offcut")
    check("each sheet costs what was said", all(s == 80 for s in sheets))
    check("as many as are reserved and run", len(sheets) <= sum(i["reserved"] for i in reserved.values()))

    run("shelf", "use", priced, "-o", after)
    left = {item["id"]: item for item in report("shelf", "list", after)}
    returned = [item for number, item in left.items() if number not in shelf]
    check("what is left came back by its outline", returned and all(item["scrap"] for item in returned))
    check(f"at its share of the price, {back}", round(100 * sum(item["price"] for item in returned)) == back)
    gone = [number for number in shelf if number not in left]
    used = sum(shelf[n]["count"] - left[n]["count"] for n in shelf if n in left and shelf[n]["count"] is not None)
    check("what was run is off the shelf", len(gone) + used == len(sheets))

    one = folder / "one.dotlane"
    tag = folder / "tag.svg"
    tag.write_text('<svg xmlns="http://www.w3.org/2000/svg" width="180mm" height="130mm" viewBox="0 0 180 130">'
                   '<rect width="180" height="130" fill="none" stroke="#222"/></svg>')
    run("import", tag, "-o", folder / "bare.dotlane", "--role", "#222222=cut")
    stock = json.loads((folder / "bare.dotlane").read_text())["pieces"][0]["stock"]
    run("shelf", "add", folder / "bare.dotlane", "--stock", stock, "--size", "200x150mm", "--count", "5", "--price", "1.35", "-o", one)
    batch = report("cost", one, "--copies", 7, "--seconds", "0.2")
    need = batch["needs"]
    check(f"seven sheets, two to buy: {need}", len(need) == 1 and need[0]["sheets"] == 7 and need[0]["to_buy"] == 2)
    check("for two sheets' price", batch["to_pay_hundredths"] == 270)
    kinds = {line["what"]: line["hundredths"] for line in batch["lines"]}
    check("the kinds add up", sum(kinds.values()) == batch["total_hundredths"] and kinds["sheet"] == 945)
    check("apiece", abs(batch["each"] - batch["total_hundredths"] / 700) < 1e-4)
    check("no batch of none", run("cost", one, "--copies", 0, expect=2).stderr)
finish("the stock book adds up")
