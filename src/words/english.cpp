// English. Another language is another table like this one.
//
// {name}            a name, or a number with what decimals it needs
// {name|2}          a number with at most that many decimals
// {name|mm2}        a length, {name|area2} an area: with their unit, in the one that the project has
// {name|n:one:many} a count before the word that fits it; {name?one:many} the word alone
// {name|role} {name|step}   the word for a role, the name of a step; {name|place} that of a place in a frame
// {*roles}          counts of lines by role, those that there are
// [...]             only where all figures in it are there
#include <map>
#include <string_view>

#include "words/sentences.hpp"

namespace dotlane {
namespace {

const std::map<std::string_view, const char*> kEnglish{
    // --- findings: places, tools, stock
    {"sheet-off-mat", "{stock}: the sheet reaches {past|mm1} past the mat; move it or make it smaller."},
    {"off-mat", "{piece} reaches {past|mm1} past the mat; bring it onto the mat."},
    {"off-mat/too-large",
     "{piece} reaches {past|mm1} past the mat: it is {width|mm1} x {height|mm1} and the mat takes {room-width|mm1} x "
     "{room-height|mm1}; make it smaller or split it."},
    {"off-usable", "{piece} reaches {past|mm1} into the border that the rollers need; move it inward."},
    {"off-usable/too-large",
     "{piece} reaches {past|mm1} into the border that the rollers need: it is {width|mm1} x {height|mm1} and the "
     "usable "
     "area is {room-width|mm1} x {room-height|mm1}."},
    {"numbers-left-out",
     "{parts|n:part gets:parts get} no number: beside {part} there is no room of 4 mm on its sheet. Leave a larger "
     "gap, "
     "or write it by hand."},
    {"numbers-left-out/back",
     "{parts|n:part gets:parts get} no number: {part} is too small to carry it on its back. Write it by hand."},
    {"print-missing",
     "{lines|n:line is:lines are} to be printed on sheet {sheet|0}, which is not printed before it is cut."},
    {"print-missing/picture", "A picture is to be printed on sheet {sheet|0}, which is not printed before it is cut."},
    {"print-no-marks",
     "Sheet {sheet|0} is printed first and too small for marks, which take {least|mm0} each way: lay it down to the "
     "tenth of a millimetre."},
    {"print-no-marks/scrap", "Sheet {sheet|0} is a scrap, and printers take whole sheets: print on another."},
    {"print-on-marks",
     "{lines|n:line comes:lines come} within {quiet|mm0} of the marks of sheet {sheet|0}, which then are not found; "
     "move what they belong to."},
    {"print-by-hand",
     "Sheet {sheet|0} is printed first and the machine finds no marks: where it is laid, there it is cut."},
    {"off-sheet", "{piece} reaches {past|mm1} past its sheet; move it or use a larger sheet."},
    {"tool-missing", "{lines|n:line has:lines have} no tool and would be left out; choose one or add it to the rack."},
    {"tool-role", "{tool} cannot {role|role}, and {lines|n:line wants:lines want} it to; choose a tool that can."},
    {"tool-stock",
     "{stock} is {thick|mm2} thick and {tool} is meant for {most|mm2} at most; use a tool for thicker stock."},
    {"stock-over-rating",
     "{stock} is {thick|mm2} thick; the machine is rated for {most|mm2}. Do not go past the rating: see the machine's "
     "manual."},
    {"force-over-rating",
     "{stock} asks for {force|0} gf to {role|role}; the machine gives {most|0} gf at most and the plan keeps to that."},
    // --- calibration sheets
    {"calibrate/tip-contact", "Where tips touch"},
    {"calibrate-about/tip-contact",
     "A box for each tool with rulers on its top and left edge, and a cross by that tool. Read where the upright arm "
     "points on the top ruler and the level arm on the left one; teeth are half a millimetre apart."},
    {"calibrate/line-width", "How wide a line is"},
    {"calibrate-about/line-width",
     "Pairs of lines ever farther apart, with that in hundredths of a millimetre. Find the first pair that shows stock "
     "between its lines."},
    {"calibrate/fill-swatch", "How close a fill must be"},
    {"calibrate-about/fill-swatch",
     "Squares by spacing, in hundredths of a millimetre, at four angles. Find the widest spacing at which no stock "
     "shows at any angle."},
    {"calibrate/tip-wear", "How long a tip lasts"},
    {"calibrate-about/tip-wear",
     "One long line in rows, begun at the bottom; every tenth is longer. Count the rows from the bottom until it fades "
     "or breaks off."},
    {"calibrate/force-depth", "What a stock needs"},
    {"calibrate-about/force-depth",
     "A square for each force and blade depth. Lift them: the least force and depth at which a square comes free and "
     "the "
     "mat below is unmarked is the one to keep."},
    {"calibrate/scale", "How long 200 mm are"},
    {"calibrate-about/scale",
     "A corner with two arms of 200 mm. Measure both with a steel ruler, from the middle of one line to the middle of "
     "the other. Do this before the cross on the mat."},
    {"calibrate/mat-cross", "Where the head is"},
    {"calibrate-about/mat-cross",
     "A cross where two lines of the mat cross. Read how far right of them and below them it lies."},
    {"calibrate/landing", "How far off tools land"},
    {"calibrate-about/landing",
     "One dot, then four places touched twenty times each. Measure how wide and how high each blot is."},
    {"calibrate-read/tip-right", "[{tool}: ]right of 0"},
    {"calibrate-read/tip-down", "[{tool}: ]below 0"},
    {"calibrate-read/apart", "first pair with stock between"},
    {"calibrate-read/spacing", "widest spacing that closes"},
    {"calibrate-read/rows", "rows until it fades"},
    {"calibrate-read/force", "force that cuts it, gf"},
    {"calibrate-read/depth", "depth mark that cuts it"},
    {"calibrate-read/across", "the arm across"},
    {"calibrate-read/up", "the arm up"},
    {"calibrate-read/right", "right of the mat's lines"},
    {"calibrate-read/down", "below the mat's lines"},
    {"calibrate-read/dot", "the single dot"},
    {"calibrate-read/wide", "blot {n|0}, across"},
    {"calibrate-read/high", "blot {n|0}, up and down"},
    // --- two runs of the logbook beside each other
    {"differ-passes", "{before|0} passes, then {after|0}."},
    {"differ-tool", "Pass {pass}: {before}, then {after}."},
    {"differ-stock", "Pass {pass}: on {before}, then on {after}."},
    {"differ-force", "Pass {pass}: {before|0} gf, then {after|0} gf."},
    {"differ-depth", "Pass {pass}: mark {before|0}, then mark {after|0}."},
    {"differ-speed", "Pass {pass}: {before|0} mm/s, then {after|0} mm/s."},
    {"differ-repeats", "Pass {pass}: {before|n:time:times}, then {after|n:time:times}."},
    {"differ-better", "The later one came out better."},
    {"differ-worse", "The earlier one came out better."},
    {"differ-both", "{better|n:pass:passes} came out better later, {worse|n:pass:passes} worse."},
    // --- the trainer
    {"trainer/forgotten-role", "The tag of brass"},
    {"trainer-story/forgotten-role",
     "A tag of soft metal is to carry a star and a wave, both engraved. Nothing of it is to be cut."},
    {"trainer-hint/forgotten-role", "Every line has one role. Look which of them say something else than engrave."},
    {"trainer/drawn-and-cut", "The label with a black edge"},
    {"trainer-story/drawn-and-cut",
     "A label for the stall: the lantern drawn, the label cut. The first one came with a black rim that nobody "
     "wanted."},
    {"trainer-hint/drawn-and-cut", "Somewhere two lines lie on each other. One of them must go, or become a guide."},
    {"trainer/not-through", "The label that would not come off"},
    {"trainer-story/not-through", "The label is cut from heavy card, and stays in it."},
    {"trainer-hint/not-through",
     "Passes has force and blade depth. What the other card gets is a good place to begin; go up a step at a time."},
    {"trainer/too-deep", "The scarred mat"},
    {"trainer-story/too-deep", "The label is cut from thin paper. It comes off, and the mat below is cut as well."},
    {"trainer-hint/too-deep", "Thin stock takes little force and the first depth mark."},
    {"trainer/not-mirrored", "The apron"},
    {"trainer-story/not-mirrored",
     "The lantern is cut from transfer film with its face down, and ironed onto an apron: there it is the wrong way "
     "round."},
    {"trainer-hint/not-mirrored", "What is transferred is mirrored once, in the job or in the figure."},
    {"trainer/mirrored-twice", "The window"},
    {"trainer-story/mirrored-twice",
     "The lantern is cut from transfer film with its face down. Two people thought of mirroring it."},
    {"trainer-hint/mirrored-twice", "Once in the figure and once in the job makes none at all. Take one of them back."},
    {"trainer/cut-first", "The shifted lantern"},
    {"trainer-story/cut-first", "On the label the lantern sits askew: the card moved while it was drawn."},
    {"trainer-hint/cut-first", "What has been cut round may move. Look at the order of roles."},
    {"trainer/dark-before-light", "The grey glow"},
    {"trainer-story/dark-before-light",
     "A yellow glow behind a black lantern. The yellow pen came out grey, for good."},
    {"trainer-hint/dark-before-light", "Light inks come before dark ones. Somebody put the passes in order by hand."},
    {"trainer/dry-pen", "The tide table"},
    {"trainer-story/dry-pen",
     "Twelve waves by the black pen, and the last ones are missing. There was ink left for {metres|1} m."},
    {"trainer-hint/dry-pen", "See how far the pen goes, and how often it goes over each line. Once is enough here."},
    {"trainer/mat-out", "Two pennants"},
    {"trainer-story/mat-out",
     "Two pennants on two mats, each in two colours and cut out. The colours do not meet the cut as they should."},
    {"trainer-hint/mat-out", "Count how often each mat goes in. A mat that comes back never lies quite as it did."},
    {"trainer/raised-part", "The lid with a handle"},
    {"trainer-story/raised-part",
     "A star for a metal lid. Its handle stands up, and the machine has a bar. The star may be anywhere on the lid."},
    {"trainer-hint/raised-part", "Second look says what runs into the bar. Move the star well below the handle."},
    {"trainer/chisel-tip", "The banner"},
    {"trainer-story/chisel-tip",
     "The lantern by the chisel marker does not sit in its rim. On the tip chart its cross stood {right|mm1} right of "
     "0 "
     "and {up|mm1} above it."},
    {"trainer-hint/chisel-tip",
     "The rack keeps where a tip touches: right of the middle, and below it. Above is less than 0."},
    {"trainer/trailing-blade", "Stars with round points"},
    {"trainer-story/trailing-blade",
     "Stars of card whose points come out round. The blade's sheet says that its edge trails by {trail|mm1}."},
    {"trainer-hint/trailing-blade", "The rack keeps how far an edge trails; then the head leads it round corners."},
    {"trainer/long-machine", "The box that does not close"},
    {"trainer-story/long-machine",
     "A blank for a box must be 138 x 98 mm. On the scale sheet the arm across was {across|mm2} and the arm up "
     "{up|mm2}, "
     "where 200 mm were meant."},
    {"trainer-hint/long-machine", "At Sheets, the machine has how far it goes of what it is sent, in percent."},
    {"trainer/three-at-once", "The fair's own transfer"},
    {"trainer-story/three-at-once",
     "A lantern cut from transfer film, face down, with a star drawn in its middle; the mat is to stay whole. There is "
     "more "
     "than one thing wrong."},
    {"trainer-hint/three-at-once", "Roles first, then which way round, then force and depth."},
    {"trainer-point/made", "All that is wanted is there, in its place."},
    {"trainer-point/nothing-else", "Nothing else is marked."},
    {"trainer-point/through", "What is cut is cut through."},
    {"trainer-point/mat-unhurt", "The mat is unhurt."},
    {"trainer-point/light-clean", "Light ink is clean."},
    {"trainer-point/held", "Nothing was marked on what had been cut loose."},
    {"trainer-point/second-look", "Second look has no error."},
    {"trainer-point/to-its-end", "The run came to its end."},
    // --- what hands do before a run and at its pauses
    {"card-stock",
     "Sheet {sheet|0}: lay {stock}, {width|mm1} x {height|mm1}, {left|mm1} from the left and {top|mm1} from the top of "
     "the mat."},
    {"card-mat", "Take the mat out and put in mat load {load|0} with {stocks}."},
    {"card-mat-stays", "Leave the mat where it is."},
    {"card-print",
     "Sheet {sheet|0} is printed first, at 100 %. Lay it within {off|mm0} and 3 degrees of its place, the small dot at "
     "the top left; the cutter finds its marks."},
    {"card-print/by-hand",
     "Sheet {sheet|0} is printed first, at 100 %. Lay it exactly in its place: nothing looks for the print."},
    {"card-holder/put", "Holder {holder|0}: put in {tool}[, set to mark {mark}]."},
    {"card-holder/swap", "Holder {holder|0}: take out {out}, put in {tool}[, set to mark {mark}]."},
    {"card-holder/set", "Holder {holder|0}: keep {tool}, set it to mark {mark}."},
    {"card-holder/keep", "Holder {holder|0}: keep {tool}."},
    {"card-holder/empty", "Holder {holder|0} stays empty."},
    {"card-pass", "Pass {pass|0}: {tool}, {force|0} gf, {speed|0} mm/s[, {repeats|0} times over]."},
    {"card-sits", "{tool} sits turned by {turn|0} degrees from its mark; see that it does."},
    {"card-turn-in", "The blade is turned in at the lower left of the mat, in the border: keep that place free."},
    {"card-tape", "Tape {stock} on all four sides, outside of what is worked. Tape does not belong under the tip."},
    {"card-rollers", "Slide the hold-down rollers aside, so that none runs over the blank."},
    {"card-test-cut", "Blade depth: set it for this stock. Make a test cut on a scrap."},
    {"card-test-cut/mark", "Make a test cut at that mark, on a scrap of the same stock."},
    {"card-test-cut/machine", "The machine sets the blade's depth. Make a test cut on a scrap of the same stock."},
    {"card-upright", "Stand heat-transfer pens upright for 20 minutes first, tip down."},
    {"card-scribble", "Scribble on scrap until the ink runs evenly."},
    {"card-pen-height", "Set the tip's height over a scrap, so that it leaves no dot on the work."},
    {"card-foil", "Tape the foil flat over the whole area. The heated tip burns: keep fingers away."},
    {"card-engrave", "Lift shards with tape, never with fingers; do not blow dust at your face."},
    {"card-scoring", "The scoring tip points straight down and does not turn in its holder."},
    {"card-soft", "Lay a soft sheet under the card: it is pressed, not cut."},
    {"card-mirrored", "The job is mirrored here. Leave the machine's mirror switch off."},
    {"card-dry", "Wait {minutes|1} minutes until the ink is dry that pass {pass|0} goes over."},
    {"card-caution",
     "Blades and swarf cut skin. Stay with a heated or engraving run. The machine's manual, the material's data sheet "
     "and local rules come first."},
    // --- how pieces are held
    {"held", "{own|place} on the {of|place} of {piece}"},
    {"held/right", "{own|place} {distance|mm2} right of the {of|place} of {piece}"},
    {"held/left", "{own|place} {distance|mm2} left of the {of|place} of {piece}"},
    {"held/below", "{own|place} {distance|mm2} below the {of|place} of {piece}"},
    {"held/above", "{own|place} {distance|mm2} above the {of|place} of {piece}"},
    {"held-sheet", "{own|place} on the {of|place} of the sheet"},
    {"held-sheet/right", "{own|place} {distance|mm2} right of the {of|place} of the sheet"},
    {"held-sheet/left", "{own|place} {distance|mm2} left of the {of|place} of the sheet"},
    {"held-sheet/below", "{own|place} {distance|mm2} below the {of|place} of the sheet"},
    {"held-sheet/above", "{own|place} {distance|mm2} above the {of|place} of the sheet"},
    {"held-row/across", "evenly in the row from {from} to {to}"},
    {"held-row/down", "evenly in the column from {from} to {to}"},
    {"held-between", "in the middle between {from} and {to}"},
    {"held-between/fold", "in the middle between the fold and the edge of {from}"},
    {"place/left", "left edge"},
    {"place/right", "right edge"},
    {"place/top", "top edge"},
    {"place/bottom", "bottom edge"},
    {"place/middle", "middle"},
    {"place/left-half", "middle of the left half"},
    {"place/right-half", "middle of the right half"},
    {"place/upper-half", "middle of the upper half"},
    {"place/lower-half", "middle of the lower half"},
    {"place/fold", "fold"},
    // --- findings: cuts, order
    {"open-cut",
     "{lines|n:cut line does:cut lines do} not close; the widest gap is {gap|mm2}, so the part would hang on. Close "
     "the "
     "gap."},
    {"open-cut/slit",
     "{lines|n:open line is:open lines are} set to cut and will only make a slit; should it be drawn or scored?"},
    {"doubled-cut",
     "{length|mm1} of cut lines lie on each other; the blade would go there twice and tear the edge. Remove the "
     "double."},
    {"cut-before",
     "Pass {cut|0} cuts before pass {later|0} ({role|role}), which goes over {parts|n:part:parts} that it cut loose, "
     "the "
     "smallest of {smallest|area0}: they can shift. Cut last, or use a mat that holds more."},
    {"cut-before/held",
     "Pass {cut|0} cuts before pass {later|0} ({role|role}), which goes over {parts|n:part:parts} that it cut loose, "
     "the "
     "smallest of {smallest|area0}. A tacky mat holds that; see that nothing has moved."},
    {"cut-on-blank",
     "{lines|n:line is:lines are} to be cut on {stock}, which nobody cuts. The role was forgotten: engrave instead."},
    {"ink-not-taken",
     "{lines|n:line is:lines are} drawn on {stock}, which takes no ink: it smears, or beads. Try the pen by hand "
     "first; "
     "what does not write by hand does not write in the machine."},
    {"force-clamped",
     "{stock} asks for {wanted|0} gf to {role|role}; {tool} takes {least|0} to {most|0} gf, so it runs at {given|0} "
     "gf. "
     "Use another tool, or set the force anew after a test on scrap."},
    {"holder-refuses", "No holder takes {tool} ({kind}); say so of a holder, or use another tool."},
    {"repeats-apart",
     "Pass {pass|0} runs {repeats|0} times, each time from its start: its strokes may land {apart|mm2} apart, with a "
     "tip "
     "of {tip|mm2}. Repeat stroke by stroke instead, without lifting."},
    {"raised-under-bar",
     "Something on {stock} stands {stands|mm1} above the mat and comes under the bar, which clears {clears|mm1}, by "
     "{deep|mm0}. Turn the blank, move it, or leave lines out, so that it stays behind the bar; see the machine's "
     "manual."},
    {"raised-under-roller",
     "What stands up by {raised|mm1} lies in the lane of the roller at {lane|mm0}: slide the roller aside."},
    {"blank-under-roller",
     "{stock} is {thick|mm1} thick and lies under the roller at {lane|mm0}: slide the roller aside, so that it does "
     "not "
     "ride up on the blank."},
    {"tool-runs-out",
     "{tool} will not last: {left|1} m are left of it, {needed|1} m are wanted, and it ends in pass {pass|0}. Have a "
     "new one at hand, and say in the rack that it is in."},
    {"tool-runs-out/over",
     "{tool} has gone as far as it lasts, and {needed|1} m more are wanted from pass {pass|0} on. Change it, and say "
     "in "
     "the rack that a new one is in."},
    {"small-lift",
     "{parts|n:part is:parts are} as small as {smallest|area0}; below {least|area0} a mat of {tack} tack may let go of "
     "them "
     "while "
     "they are cut. Use a mat that holds more, cut slower, or leave little bridges."},
    {"near-edge",
     "{lines|n:line is cut:lines are cut} as near as {strip|mm1} to the edge of {stock}: so narrow a strip tears or "
     "lifts. "
     "Move it inward."},
    {"perforation-weak",
     "{piece}: dashes of {dash|mm1} with gaps of {gap|mm1} leave {left|0} of {grammage|0} g/m² along the fold, which "
     "tears "
     "by itself. Shorter dashes hold better."},
    {"perforation-stiff",
     "{piece}: dashes of {dash|mm1} with gaps of {gap|mm1} leave {left|0} of {grammage|0} g/m² along the fold, which "
     "is "
     "hard to fold by hand. Longer dashes fold more easily."},
    {"role-not-now", "Lines to {role|role} are left out of this run."},
    {"waits-for-ink", "The run waits {minutes|1} min for ink to dry before passes that go over it."},
    {"scribble-first",
     "{pens|n:pen draws:pens draw} (first: {first}). Scribble each on scrap until it runs evenly, and set its height "
     "over a "
     "scrap. Markers for heat transfer stand upright for 20 minutes first."},
    {"hand-order", "The order by hand needs {swaps|n:swap:swaps} more than the planner's own."},
    {"hand-order/pauses", "The order by hand needs {pauses|n:pause:pauses} more than the planner's own."},
    {"hand-order/mats", "The order by hand puts {mats|n:mat:mats} in more often than the planner's own."},
    {"stay-with-it", "Engraving takes {minutes|0} min: stay with it. Wipe swarf off, do not blow it at your face."},
    {"stay-with-it/heated",
     "The heated tip works for {minutes|0} min: stay with it, and keep fingers away until it has cooled."},
    {"stay-awake", "The job takes {hours|1} hours with its pauses: keep the computer from sleeping."},
    {"light-after-dark",
     "{light} draws in pass {later|0}, after {dark} in pass {earlier|0} on the same sheet: its tip would take up the "
     "darker ink. Draw light inks first."},
    {"mirrored",
     "The job is mirrored here, once; leave the mirror switch of the machine off, or it comes out the right way round "
     "again."},
    {"mirrored-twice",
     "{piece} is mirrored in its recipe and once more with the job: it comes out as drawn. Mirror exactly once."},
    {"fused-not-mirrored",
     "{piece} is fused, but mirrored neither in its recipe nor with the job: it would come out turned over. Mirror "
     "exactly "
     "once."},
    {"clear-not-mirrored",
     "{piece} is engraved on {stock}, which is clear. Read through the blank, from the other side, it comes out the "
     "wrong "
     "way round; mirror it once for that."},
    {"role-guessed", "The roles of {lines|n:line:lines} were guessed ({*roles}) and nobody has confirmed them."},
    // --- findings: sheets
    {"parts-overlap",
     "{part} and {other} lie on each other on their sheet ({over|area1}); move one of them, or pack the parts."},
    {"parts-overlap/more",
     "{pairs|n:more pair of parts lies:more pairs of parts lie} on or too near each other there."},
    {"parts-near",
     "{part} and {other} are {apart|mm2} apart, nearer than the gap of {gap|mm2}; move one of them, or push the parts "
     "together anew."},
    {"off-scrap",
     "{part} reaches past the edge of its scrap, or of what tools reach there, with {off|area1}; move or turn it."},
    {"part-waiting",
     "{stock}: {parts|n:part waits:parts wait} for room and will not be run, the first {part}. Lay {parts?it:them} "
     "by hand, add a sheet, or let parts be turned more freely."},
    {"part-too-large",
     "{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x {room-height|mm1} "
     "within the tools' reach: it fits no way round. Turned by {turn|1}° it would fit at {percent|1}% of its size. "
     "Make "
     "it smaller, divide it, or take a larger sheet."},
    {"part-too-large/upright",
     "{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x {room-height|mm1} "
     "within the tools' reach: it fits no way round. It would fit at {percent|1}% of its size. Make it smaller, divide "
     "it, or take a larger sheet."},
    {"against-grain",
     "{part} lies {turn|1}° off the grain of {stock}; it may curl or fold badly. Turn it along the grain."},
    {"fill-turned",
     "{part} lies turned by {turn|1}°, so its fill runs at {angle|1}° on the mat where {wanted|1}° are asked for. Turn "
     "the "
     "strokes back by as much, or lay the part unturned."},
    {"group-torn", "{part} and {other} are kept together but do not lie as in the figure; lay them anew."},
    {"shelf-short", "{stock}: {sheets|n:sheet is:sheets are} laid out and the shelf has {has|0}."},
    {"shelf-gone",
     "{stock}: {sheets|n:sheet is:sheets are} taken from something that is not on the shelf any more; put it back, or "
     "pack the parts anew."},
    {"mat-returns",
     "{mats|n:mat is:mats are} put in again for another tool. Lines of one sheet meet only where it goes in exactly as "
     "before: mark its corner on the machine, and see the machine's manual for how to align it."},
    {"not-now",
     "Not this time: [{parts|n:part:parts} and ][{passes|n:pass:passes}] left out of the run. \"Run everything\" takes "
     "them in again."},
    {"pieces-not-now",
     "Not this time: {pieces|n:piece is:pieces are} left out of the run. \"Run everything\" takes them in again."},
    {"hidden-runs",
     "{pieces|n:piece is hidden and is run:pieces are hidden and are run} all the same. Leave out what is not to be "
     "run "
     "this time."},
    // --- findings: shapes
    {"recipe-trouble", "{piece}[, {step|step}]: {because}"},
    {"stencil-neck",
     "{piece}: between openings the sheet is only {width|mm2} wide, under {limit|mm2} in {necks|n:place:places}, and "
     "may "
     "tear. Make the openings narrower, or move them apart."},
    {"stencil-tongue",
     "{piece}: a part of the sheet hangs by one end, {length|mm0} long and {width|mm1} wide: it bends and lifts. Hold "
     "its "
     "tip by a bridge."},
    {"stencil-large",
     "{piece}: its {segments|0} short lines are too many to look for weak places (up to {most|0}). Look at a part of "
     "it as "
     "a piece of its own."},
    {"stencil-open",
     "{piece}: {open|0} % of the stencil is open; with more than {limit|0} % it is limp. Leave a wide edge "
     "around it, or take a firmer stock."},
    {"stencil-slit",
     "{piece}: openings are narrower than {limit|mm2} in {places|n:place:places}; a brush or a sponge hardly fills "
     "them. Make them wider, or say under “Speaks up about” what yours fills."},
    {"stencil-margin",
     "{piece}: only {margin|mm1} from the openings to the edge of the stencil, under {limit|mm1}: paint may get past "
     "it. Make the stencil larger, or tape paper around it."},
    {"tiny-bits",
     "{piece}: {contours|n:cut contour is:cut contours are} smaller than {limit|area1} (the smallest {least|area2}) "
     "and "
     "hard to weed. Drop them, or make the piece larger."},
    {"slivers",
     "{piece}: {parts|n:part is:parts are} nowhere wider than {limit|mm2} and would tear. Join {parts?it to its "
     "neighbour:them to their neighbours}, or drop {parts?it:them}."},
    {"blunt-points",
     "{piece}: the outward offset blunts {points|n:sharp point:sharp points}. Mitred corners keep them; an inset of a "
     "larger shape does too."},
    {"badge-rim",
     "{piece}: {lines|n:line reaches:lines reach} {past|mm1} past the clear part of the face and may fold out of "
     "sight. "
     "Make it smaller, or move it inward."},
    // --- findings: lettering
    {"letters-apart",
     "{piece}: “{left}” and “{right}” do not touch; the gap is {gap|mm2}. Tighten them, or they come apart."},
    {"letters-apart/hardly",
     "{piece}: “{left}” and “{right}” do not hold; they hardly touch. Tighten them, or they come apart."},
    {"letters-apart/more", "{piece}: {pairs|0} more pairs of letters do not stand well. Close up the whole line."},
    {"counter-closed",
     "{piece}: the counter of “{letter}” is cut down to {left|area2} by its neighbour (it was {was|area2}). Loosen the "
     "pair."},
    {"counter-closed/whole",
     "{piece}: the counter of “{letter}” is closed by its neighbour (it was {was|area2}). Loosen the pair."},
    {"letters-overlap",
     "{piece}: {pairs|n:pair of letters overlaps:pairs of letters overlap}, the first “{left}” and “{right}”, and the "
     "blade would cut through the strokes. Join them."},
    {"letters-thin",
     "{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; under {limit|mm2} it tears. It takes capitals of "
     "{wanted|mm2} (now {cap|mm2}), or thicker strokes."},
    {"letters-thin/tip",
     "{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; the {tip|mm2} tip draws both its sides in one. It "
     "takes capitals of {wanted|mm2} (now {cap|mm2}), or thicker strokes."},
    {"letters-small",
     "{piece}: the smallest counter or dot, in “{letter}”, has {area|area2} and is hard to weed. It takes capitals of "
     "{wanted|mm2} (now {cap|mm2})."},
    {"letters-small/tip",
     "{piece}: the {tip|mm2} tip fills the counter of “{letter}”. Make the letters larger, or choose a finer tip."},
    {"letters-small/strokes",
     "{piece}: capitals of {cap|mm2} are small for a tip of {tip|mm2}; loops fill up. From {wanted|mm2} they stay "
     "clear."},
    {"outlines-reserved",
     "{piece}: the typeface {face} says that its outlines may not be used freely. Read its licence, or choose "
     "another."},
    // --- findings: fills
    {"fill-empty",
     "{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the mat,] "
     "{shapes?gets:get} no stroke at all and would stay hollow. Turn the strokes, bring them closer, or make the inset "
     "smaller."},
    {"fill-thin",
     "{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the mat,] "
     "{shapes?is:are} inked to {share|0} % where all together reach {together|0} %, and will look lighter. Turn the "
     "strokes, or bring them closer."},
    {"fill-outside",
     "{piece}: the {tip|mm2} tip inks {outside|area1} beyond the edge. An inset of half the tip keeps it inside."},
    {"long-run",
     "The job runs for {minutes|0} min, pass {pass|0} alone for {longest|0} min. Keep the computer from sleeping, and "
     "do "
     "not leave a heated or engraving run alone."},
    // --- what a reader of drawings has to say
    {"size-assumed",
     "[{piece}: ]The file states no physical size; it is taken at {per-inch|2} per inch, which makes it {width|mm1} x "
     "{height|mm1}. At 96, 90 or 72 per inch it would be {width-96|mm1} x {height-96|mm1}, {width-90|mm1} x "
     "{height-90|mm1} or {width-72|mm1} x {height-72|mm1}: pick the one you know to be right."},
    {"size-assumed/artwork",
     "{piece}: The file states no physical size. At {per-inch|2} per inch the artwork is {width|mm1} x {height|mm1}; "
     "pick "
     "the size you know to be right."},
    {"size-assumed/units",
     "[{piece}: ]The file says no unit; one is taken as a millimetre, which makes it {width|mm1} x {height|mm1}: pick "
     "the "
     "unit that you know to be right."},
    {"size-assumed/artwork-units",
     "{piece}: The file says no unit. With {unit} the artwork is {width|mm1} x {height|mm1}; pick the size you know to "
     "be "
     "right."},
    {"text-left-out",
     "[{piece}: ]{texts|n:text was:texts were} left out (\"{first}\"): turn text into outlines in the drawing program "
     "and "
     "bring the file in again."},
    {"image-left-out", "[{piece}: ]{pictures|n:picture was:pictures were} left out: only lines can be cut or drawn."},
    {"kinds-left-out",
     "[{piece}: ]{objects|n:thing is:things are} of a kind that is not drawn here and {objects?was:were} left out, "
     "{first} "
     "among them."},
    {"embedded-left-out", "[{piece}: ]{objects|n:embedded object was:embedded objects were} left out."},
    {"path-cut-short",
     "[{piece}: ]{count|n:outline breaks:outlines break} off in what describes {count?it:them}, first on line "
     "{line|0}: "
     "drawn as far as can be read."},
    {"attribute-ignored",
     "[{piece}: ]{count|n:value:values} in the file cannot be read and {count?was:were} passed over, first {name} on "
     "line "
     "{line|0}."},
    {"element-left-out",
     "[{piece}: ]{count|n:element lies:elements lie} farther off than any machine reaches and {count?was:were} left "
     "out, "
     "first a {name} on line {line|0}."},
    {"use-lost",
     "[{piece}: ]{count|n:copy is:copies are} of something that is not in the file and {count?was:were} left out, "
     "first "
     "of \"{name}\" on line {line|0}."},
    {"use-outside",
     "[{piece}: ]{count|n:copy is:copies are} of something in another file and {count?was:were} left out, first of "
     "\"{name}\" on line {line|0}. Other files are never opened; put it into this one."},
    {"use-endless",
     "[{piece}: ]{count|n:copy contains itself:copies contain themselves} and {count?was:were} left out, first of "
     "\"{name}\" on line {line|0}."},
    {"clip-ignored", "[{piece}: ]{clips|n:clip or mask is:clips or masks are} not applied: the whole shapes came in."},
    {"dots-left-out",
     "[{piece}: ]{dots|n:dot drawn as a stroke of no length was:dots drawn as strokes of no length were} left out: "
     "draw a dot as a small circle and bring the file in again."},
    {"hidden-left-out", "[{piece}: ]{elements|n:hidden element was:hidden elements were} left out."},
    {"unpainted", "[{piece}: ]{lines|n:line has:lines have} neither stroke nor fill and came in as guide."},
    {"style-ignored",
     "[{piece}: ]{rules|n:style rule was:style rules were} not understood (\"{first}\"); check the colours of the "
     "lines."},
    {"nothing-drawn", "[{piece}: ]The file holds no lines that a tool could follow."},
    // A note that came with its words, from a file of an older version.
    {"note", "[{piece}: ]{message}"},
    // --- what steps and sources cannot do
    {"applique-satin",
     "A satin stitch {stitch|mm2} wide reaches past the underlap of {underlap|mm2}; make that at least {least|mm2}, or "
     "the "
     "stitch narrower."},
    {"applique-thin",
     "Parts narrower than {width|mm2} fray or have no room for the stitch ({area|area1}); thicken them, or leave them "
     "out."},
    {"paint-nothing",
     "There is no number {layer|0} among the pieces of the picture; choose them, the first painted first."},
    {"paint-hidden", "Nothing is left to be painted by number {layer|0} of the picture: later paint covers all of it."},
    {"bridge-loose",
     "{islands|n:island falls:islands fall} out: no strip {width|mm2} wide runs straight from {islands?it:them} to the "
     "sheet. Make the bridges narrower."},
    {"bridge-narrow",
     "{bridges|n:bridge is:bridges are} narrower than {width|mm2}, down to {narrowest|mm2}: the opening leaves no room "
     "for more. Make the shape larger, or ask for narrower bridges."},
    {"mesh-none",
     "A mesh every {mesh|mm2} is too fine, for this shape or for bridges {width|mm2} wide; islands are held one by "
     "one. "
     "Take a wider mesh."},
    {"fit-shape-none", "The rows find no room in the shape. Make it larger, or the margin narrower."},
    {"stones-many", "There would be more than {most|0} stones. Take larger ones, a wider web, or fewer lines."},
    {"stones-none",
     "No stone of this size fits: its hole is {hole|mm2} wide. Take smaller stones, or make the shape larger."},
    {"step-unknown", "This version does not know the step \"{step}\"; it is kept and passed over."},
    {"step-failed",
     "This step could not be carried out ({why}); the lines are left as they were. Change a number a little, or switch "
     "it off."},
    {"step-failed/kernel",
     "This step could not be carried out (the kernel gave up on this shape); the lines are left as they were. Change a "
     "number a little, or switch it off."},
    {"step-failed/rings",
     "This step could not be carried out (more than 4,000 rings would lie one inside the other; a wider spacing takes "
     "fewer); the lines are left as they were. Change a number a little, or switch it off."},
    {"inputs-gone", "A piece it works with is gone."},
    {"inputs-circle", "A piece it works with depends on this one."},
    {"inputs-empty", "The pieces it works with are gone or enclose nothing."},
    {"join-nothing", "There is no closed line to join."},
    {"cut-away-nothing", "It takes two closed lines that overlap, or other pieces to cut away."},
    {"overlap-nothing", "It takes two closed lines that overlap, or other pieces."},
    {"split-nothing", "There is no closed line to cut in two."},
    {"seams-nothing", "There is no closed line to divide by seams."},
    {"seams-lost",
     "{seams|n:seam runs:seams run} through no material any more; take {seams?it:them} away, or divide the piece "
     "anew."},
    {"divide-nothing", "There is no closed line to divide."},
    {"offset-nothing", "There is no closed line to offset."},
    {"offset-vanished", "Nothing is left: the shapes are narrower than twice the distance."},
    {"skew-flat", "These two angles would flatten it to a line."},
    {"scale-no-width", "It has no width to scale."},
    {"scale-no-height", "It has no height to scale."},
    {"fit-nothing", "There is nothing to fit into."},
    {"fit-no-room", "The margin leaves no room."},
    {"repeat-many", "That would make more than 20,000 lines; ask for fewer copies."},
    {"repeat-none", "Not one whole copy fits into the room; make it larger, or the copies smaller."},
    {"repeat-no-room", "There is no sheet to fill; give the size of the room."},
    {"repeat-no-path", "Choose the piece along whose line the copies are to stand."},
    {"repeat-no-wrap",
     "This arrangement does not go on endlessly from edge to edge: ask for an even number, or for another one."},
    {"fill-open", "The lines are open and enclose nothing to fill; close their gaps first."},
    {"fill-nothing", "There is no closed line to fill."},
    {"fill-some-open", "{lines|n:open line stays:open lines stay} unfilled; close its gaps, or leave it out."},
    {"fill-refused", "Not filled: {why}."},
    {"fill-no-room", "No stroke fits: the shapes are narrower than the inset leaves room for."},
    {"trace-no-picture", "There is no picture to trace."},
    {"trace-cropped", "Nothing is left of the picture; crop less."},
    {"trace-nothing", "No outline was found: try another threshold, or invert the picture."},
    {"card-apart", "The card falls into {parts|0} parts: join it deeper."},
    {"card-joined",
     "Front and back are joined over {joined|mm1} only, which may not hold; join it over {least|mm0} or more."},
    {"badge-sizes", "The cut disc must be larger than the visible face, or there is no rim to fold over."},
    {"tag-rim", "Only {rim|mm1} of stock are left above the hole and may tear; leave {least|mm0} or more."},
    {"ring-hole", "The hole is as large as the ring; make it smaller than {most|mm1}."},
    {"blank-margin", "The margin leaves no room inside. Make it smaller, or the blank larger."},
    {"label-border", "The border inside does not fit; make it narrower."},
    {"circle-small", "The circle is too small for all lines; make it larger."},
    {"face-missing", "{why}."},
    {"feature-unknown", "\"{feature}\" is no feature setting; write them as swsh, -liga or ss01=2."},
    {"letterform-unknown", "{face} has no letterform \"{form}\"."},
    {"letters-missing",
     "{face} has no letter for {letters}[ and {more|0} more]; it is left out. Choose another typeface, or other "
     "words."},
    {"letters-damaged",
     "{face} is damaged at {letters}[ and {more|0} more]; it is left out. Install the typeface anew."},
    // --- buttons
    {"fix-onto-mat", "Bring onto the mat"},
    {"fix-use-tool", "Use {tool}"},
    {"fix-print-sheet", "Print the sheet first"},
    {"fix-close-gaps", "Close the gaps"},
    {"fix-remove-doubles", "Remove the doubles"},
    {"fix-cut-last", "Cut last"},
    {"fix-engrave", "Engrave them"},
    {"fix-stroke-by-stroke", "Repeat stroke by stroke"},
    {"fix-dash", "Dashes of {dash|mm1}"},
    {"fix-light-first", "Draw light inks first"},
    {"fix-plan-again", "Plan again"},
    {"fix-divide", "Divide it"},
    {"fix-find-room", "Find room"},
    {"fix-mirror", "Mirror the piece"},
    {"fix-not-over", "Mirror with the job alone"},
    {"fix-job-mirrored", "Mirror the job"},
    {"fix-job-plain", "Do not mirror the job"},
    {"fix-per-inch", "{per-inch|0} per inch: {width|mm1} x {height|mm1}"},
    {"fix-units", "Units are {unit}: {width|mm1} x {height|mm1}"},
    {"fix-confirm-roles", "Confirm the roles"},
    {"fix-drop-tiny", "Drop the tiny bits"},
    {"fix-mitre", "Mitre the corners"},
    {"fix-tighten", "Tighten “{left}” and “{right}” by {by|mm2}"},
    {"fix-loosen", "Loosen “{left}” and “{right}” by {by|mm2}"},
    {"fix-close-up", "Close up all letters"},
    {"fix-join-letters", "Join the letters"},
    {"fix-capitals", "Make capitals {cap|mm2} high"},
    {"fix-thicken", "Thicken by {by|mm2}"},
    {"fix-openings-narrower", "Make the openings {by|mm2} narrower"},
    {"fix-round-openings", "Round the openings' corners by {radius|mm2}"},
    {"fix-bridge-more", "One more bridge there"},
    {"fix-angle-piece", "Turn the strokes to {angle|1}° as it lies"},
    {"fix-angle", "Turn the strokes to {angle|1}°"},
    {"fix-inset-half", "Inset half the tip, {inset|mm2}"},
    {"fix-inset", "Inset {inset|mm2}"},
};

}  // namespace

const char* template_of(const std::string& code) {
  const auto found = kEnglish.find(code);
  return found == kEnglish.end() ? nullptr : found->second;
}

}  // namespace dotlane
