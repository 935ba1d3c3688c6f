// What readers of drawings have to say, and what steps and sources cannot do.
#include "words/english.hpp"

namespace dotlane {

std::span<const Template> making_in_english() {
  static constexpr Template kTemplates[] = {
      // --- what a reader of drawings has to say
      {"size-assumed",
       "[{piece}: ]The file states no physical size; it is taken at {per-inch|2} per inch, which makes it {width|mm1} "
       "x "
       "{height|mm1}. At 96, 90 or 72 per inch it would be {width-96|mm1} x {height-96|mm1}, {width-90|mm1} x "
       "{height-90|mm1} or {width-72|mm1} x {height-72|mm1}: pick the one you know to be right."},
      {"size-assumed/artwork",
       "{piece}: The file states no physical size. At {per-inch|2} per inch the artwork is {width|mm1} x {height|mm1}; "
       "pick "
       "the size you know to be right."},
      {"size-assumed/units",
       "[{piece}: ]The file says no unit; one is taken as a millimetre, which makes it {width|mm1} x {height|mm1}: "
       "pick "
       "the "
       "unit that you know to be right."},
      {"size-assumed/artwork-units",
       "{piece}: The file says no unit. With {unit} the artwork is {width|mm1} x {height|mm1}; pick the size you know "
       "to "
       "be "
       "right."},
      {"text-left-out",
       "[{piece}: ]{texts|n:text was:texts were} left out (\"{first}\"): turn text into outlines in the drawing "
       "program "
       "and "
       "bring the file in again."},
      {"typeface-stands-in",
       "[{piece}: ]{texts|n:text is:texts are} set in another typeface: {used} stands in for {asked}, which is not on "
       "this machine or lacks letters; compare with the drawing, or install the typeface and bring the file in again."},
      {"image-left-out", "[{piece}: ]{pictures|n:picture was:pictures were} left out: only lines can be cut or drawn."},
      {"pages-left-out",
       "[{piece}: ]The file has {pages} pages, of which page {page|0} came in; the others are brought in with Ctrl+I "
       "as well."},
      {"scale-unknown",
       "[{piece}: ]The file scales its drawing to corners that only its machine knows; taken for A4 it is {width|mm1} "
       "x "
       "{height|mm1}: measure it and set its size."},
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
      {"clipped",
       "[{piece}: ]What clip paths hide did not come in[; {cut|n:line was:lines were} cut to what is seen]"
       "[; {away|n:line was:lines were} left out whole]."},
      {"clip-ignored",
       "[{piece}: ]{clips|n:clip or mask is:clips or masks are} not applied: the whole shapes came in."},
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
       "A satin stitch {stitch|mm2} wide reaches past the underlap of {underlap|mm2}; make that at least {least|mm2}, "
       "or "
       "the "
       "stitch narrower."},
      {"applique-thin",
       "Parts narrower than {width|mm2} fray or have no room for the stitch ({area|area1}); thicken them, or leave "
       "them "
       "out."},
      {"paint-nothing",
       "There is no number {layer|0} among the pieces of the picture; choose them, the first painted first."},
      {"paint-hidden",
       "Nothing is left to be painted by number {layer|0} of the picture: later paint covers all of it."},
      {"bridge-loose",
       "{islands|n:island falls:islands fall} out: no strip {width|mm2} wide runs straight from {islands?it:them} to "
       "the "
       "sheet. Make the bridges narrower."},
      {"bridge-narrow",
       "{bridges|n:bridge is:bridges are} narrower than {width|mm2}, down to {narrowest|mm2}: the opening leaves no "
       "room "
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
       "This step could not be carried out ({why}); the lines are left as they were. Change a number a little, or "
       "switch "
       "it off."},
      {"step-failed/kernel",
       "This step could not be carried out (the kernel gave up on this shape); the lines are left as they were. Change "
       "a "
       "number a little, or switch it off."},
      {"step-failed/rings",
       "This step could not be carried out (more than 4,000 rings would lie one inside the other; a wider spacing "
       "takes "
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
      {"fill-refused",
       "Not filled: a spacing of {spacing|mm3} would take more than {millions|0} million strokes; make it wider."},
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
      {"face-file", "{file}:"},
      {"feature-unknown", "\"{feature}\" is no feature setting; write them as swsh, -liga or ss01=2."},
      {"letterform-unknown", "{face} has no letterform \"{form}\"."},
      {"letters-missing",
       "{face} has no letter for {letters}[ and {more|0} more]; it is left out. Choose another typeface, or other "
       "words."},
      {"letters-damaged",
       "{face} is damaged at {letters}[ and {more|0} more]; it is left out. Install the typeface anew."},
  };
  return kTemplates;
}

}  // namespace dotlane
