// What hands do before a run and at its pauses; how pieces are held.
#include "words/english.hpp"

namespace dotlane {

std::span<const Template> hands_in_english() {
  static constexpr Template kTemplates[] = {
      // --- what hands do before a run and at its pauses
      {"card-stock",
       "Sheet {sheet|0}: lay {stock}, {width|mm1} x {height|mm1}, {left|mm1} from the left and {top|mm1} from the top "
       "of "
       "the mat."},
      {"card-mat", "Take the mat out and put in mat load {load|0} with {stocks}."},
      {"card-mat-stays", "Leave the mat where it is."},
      {"card-print",
       "Sheet {sheet|0} is printed first, at 100 %. Lay it within {off|mm0} and 3 degrees of its place, the small dot "
       "at "
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
       "Blades and swarf cut skin. Stay with a heated or engraving run. The machine's manual, the material's data "
       "sheet "
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
  };
  return kTemplates;
}

}  // namespace dotlane
