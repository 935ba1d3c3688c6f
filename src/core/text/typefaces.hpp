// The typefaces at hand: those that ship with Dot Lane, and those of the system.
#pragma once

#include "core/text/face.hpp"

namespace dotlane {

struct Typeface {
  std::string name;     ///< by which projects refer to it: "Comfortaa Bold"
  std::string summary;  ///< of shipped ones: what it is good for
  std::string file;
  int index = 0;  ///< in a collection
  bool shipped = false;
  bool single_stroke = false;
};

/// Shipped ones first, then the system's by name (fontconfig knows them); looked up once, which may take a while on
/// machines with many fonts.
[[nodiscard]] const std::vector<Typeface>& typefaces();
/// Only those that ship, which never takes long.
[[nodiscard]] const std::vector<Typeface>& shipped_typefaces();

/// The name that new lettering starts with.
[[nodiscard]] const std::string& standard_typeface();

/// Opens a typeface by its name, or a font file by its path ("fonts/own.otf", "own.ttc#2" for the third face of a
/// collection). Faces stay open for the next time. The error says what to do.
[[nodiscard]] Result<std::shared_ptr<const Face>> find_face(const std::string& name_or_file,
                                                            const AxisValues& axes = {});

/// The face that fits what text asks for best.
struct FittingFace {
  std::shared_ptr<const Face> face;  ///< nothing where no font here can be opened
  std::string asked;                 ///< the family liked best, as "Comfortaa Bold"
  bool as_asked = false;             ///< it is of that family (or that one is generic), weight and slant
};

/// Among the shipped faces and the system's, by fontconfig. `families` as CSS writes them, the one liked best first;
/// `weight` as CSS has it (400 is regular); `needed` is a character that the face must have where any has it (0: none).
[[nodiscard]] FittingFace fitting_face(const std::string& families, int weight, bool italic, char32_t needed = 0);

/// Where the shipped typefaces lie.
[[nodiscard]] std::string typefaces_folder();

}  // namespace dotlane
