// Calibration sheets, two runs of the logbook side by side, the trainer.
#include "words/english.hpp"

namespace dotlane {

std::span<const Template> practice_in_english() {
  static constexpr Template kTemplates[] = {
      // --- calibration sheets
      {"calibrate/tip-contact", "Where tips touch"},
      {"calibrate-about/tip-contact",
       "A box for each tool with rulers on its top and left edge, and a cross by that tool. Read where the upright arm "
       "points on the top ruler and the level arm on the left one; teeth are half a millimetre apart."},
      {"calibrate/line-width", "How wide a line is"},
      {"calibrate-about/line-width",
       "Pairs of lines ever farther apart, with that in hundredths of a millimetre. Find the first pair that shows "
       "stock "
       "between its lines."},
      {"calibrate/fill-swatch", "How close a fill must be"},
      {"calibrate-about/fill-swatch",
       "Squares by spacing, in hundredths of a millimetre, at four angles. Find the widest spacing at which no stock "
       "shows at any angle."},
      {"calibrate/tip-wear", "How long a tip lasts"},
      {"calibrate-about/tip-wear",
       "One long line in rows, begun at the bottom; every tenth is longer. Count the rows from the bottom until it "
       "fades "
       "or breaks off."},
      {"calibrate/force-depth", "What a stock needs"},
      {"calibrate-about/force-depth",
       "A square for each force and blade depth. Lift them: the least force and depth at which a square comes free and "
       "the "
       "mat below is unmarked is the one to keep."},
      {"calibrate/scale", "How long 200 mm are"},
      {"calibrate-about/scale",
       "A corner with two arms of 200 mm. Measure both with a steel ruler, from the middle of one line to the middle "
       "of "
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
      {"trainer-hint/mirrored-twice",
       "Once in the figure and once in the job makes none at all. Take one of them back."},
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
       "The lantern by the chisel marker does not sit in its rim. On the tip chart its cross stood {right|mm1} right "
       "of "
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
       "A lantern cut from transfer film, face down, with a star drawn in its middle; the mat is to stay whole. There "
       "is "
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
  };
  return kTemplates;
}

}  // namespace dotlane
