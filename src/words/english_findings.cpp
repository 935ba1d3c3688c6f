// What second look finds: places, tools, order, sheets, shapes, lettering, fills; and the buttons that settle it.
#include "words/english.hpp"

namespace dotlane {

std::span<const Template> findings_in_english() {
  static constexpr Template kTemplates[] = {
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
      {"print-missing/picture",
       "A picture is to be printed on sheet {sheet|0}, which is not printed before it is cut."},
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
      {"tool-missing",
       "{lines|n:line has:lines have} no tool and would be left out; choose one or add it to the rack."},
      {"tool-role", "{tool} cannot {role|role}, and {lines|n:line wants:lines want} it to; choose a tool that can."},
      {"tool-stock",
       "{stock} is {thick|mm2} thick and {tool} is meant for {most|mm2} at most; use a tool for thicker stock."},
      {"stock-over-rating",
       "{stock} is {thick|mm2} thick; the machine is rated for {most|mm2}. Do not go past the rating: see the "
       "machine's "
       "manual."},
      {"force-over-rating",
       "{stock} asks for {force|0} gf to {role|role}; the machine gives {most|0} gf at most and the plan keeps to "
       "that."},
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
       "{parts|n:part is:parts are} as small as {smallest|area0}; below {least|area0} a mat of {tack} tack may let go "
       "of "
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
       "The job is mirrored here, once; leave the mirror switch of the machine off, or it comes out the right way "
       "round "
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
       "{part} and {other} are {apart|mm2} apart, nearer than the gap of {gap|mm2}; move one of them, or push the "
       "parts "
       "together anew."},
      {"off-scrap",
       "{part} reaches past the edge of its scrap, or of what tools reach there, with {off|area1}; move or turn it."},
      {"part-waiting",
       "{stock}: {parts|n:part waits:parts wait} for room and will not be run, the first {part}. Lay {parts?it:them} "
       "by hand, add a sheet, or let parts be turned more freely."},
      {"part-too-large",
       "{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x "
       "{room-height|mm1} "
       "within the tools' reach: it fits no way round. Turned by {turn|1}° it would fit at {percent|1}% of its size. "
       "Make "
       "it smaller, divide it, or take a larger sheet."},
      {"part-too-large/upright",
       "{part} is {width|mm1} x {height|mm1}, and the largest sheet of {stock} has {room-width|mm1} x "
       "{room-height|mm1} "
       "within the tools' reach: it fits no way round. It would fit at {percent|1}% of its size. Make it smaller, "
       "divide "
       "it, or take a larger sheet."},
      {"against-grain",
       "{part} lies {turn|1}° off the grain of {stock}; it may curl or fold badly. Turn it along the grain."},
      {"fill-turned",
       "{part} lies turned by {turn|1}°, so its fill runs at {angle|1}° on the mat where {wanted|1}° are asked for. "
       "Turn "
       "the "
       "strokes back by as much, or lay the part unturned."},
      {"group-torn", "{part} and {other} are kept together but do not lie as in the figure; lay them anew."},
      {"shelf-short", "{stock}: {sheets|n:sheet is:sheets are} laid out and the shelf has {has|0}."},
      {"shelf-gone",
       "{stock}: {sheets|n:sheet is:sheets are} taken from something that is not on the shelf any more; put it back, "
       "or "
       "pack the parts anew."},
      {"mat-returns",
       "{mats|n:mat is:mats are} put in again for another tool. Lines of one sheet meet only where it goes in exactly "
       "as "
       "before: mark its corner on the machine, and see the machine's manual for how to align it."},
      {"not-now",
       "Not this time: [{parts|n:part:parts} and ][{passes|n:pass:passes}] left out of the run. \"Run everything\" "
       "takes "
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
       "{piece}: a part of the sheet hangs by one end, {length|mm0} long and {width|mm1} wide: it bends and lifts. "
       "Hold "
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
       "{piece}: the outward offset blunts {points|n:sharp point:sharp points}. Mitred corners keep them; an inset of "
       "a "
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
       "{piece}: the counter of “{letter}” is cut down to {left|area2} by its neighbour (it was {was|area2}). Loosen "
       "the "
       "pair."},
      {"counter-closed/whole",
       "{piece}: the counter of “{letter}” is closed by its neighbour (it was {was|area2}). Loosen the pair."},
      {"letters-overlap",
       "{piece}: {pairs|n:pair of letters overlaps:pairs of letters overlap}, the first “{left}” and “{right}”, and "
       "the "
       "blade would cut through the strokes. Join them."},
      {"letters-thin",
       "{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; under {limit|mm2} it tears. It takes capitals of "
       "{wanted|mm2} (now {cap|mm2}), or thicker strokes."},
      {"letters-thin/tip",
       "{piece}: “{letter}” is only {thin|mm2} thin at its thinnest; the {tip|mm2} tip draws both its sides in one. It "
       "takes capitals of {wanted|mm2} (now {cap|mm2}), or thicker strokes."},
      {"letters-small",
       "{piece}: the smallest counter or dot, in “{letter}”, has {area|area2} and is hard to weed. It takes capitals "
       "of "
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
       "{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the "
       "mat,] "
       "{shapes?gets:get} no stroke at all and would stay hollow. Turn the strokes, bring them closer, or make the "
       "inset "
       "smaller."},
      {"fill-thin",
       "{piece}: {shapes|n:shape:shapes}[ ({letters}[ and {more|0} more])][, the first at {x|1} × {y|1} mm on the "
       "mat,] "
       "{shapes?is:are} inked to {share|0} % where all together reach {together|0} %, and will look lighter. Turn the "
       "strokes, or bring them closer."},
      {"fill-outside",
       "{piece}: the {tip|mm2} tip inks {outside|area1} beyond the edge. An inset of half the tip keeps it inside."},
      {"long-run",
       "The job runs for {minutes|0} min, pass {pass|0} alone for {longest|0} min. Keep the computer from sleeping, "
       "and "
       "do "
       "not leave a heated or engraving run alone."},
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
  return kTemplates;
}

}  // namespace dotlane
