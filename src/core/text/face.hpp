// A typeface opened for lettering: letterforms as outlines or as single strokes, all in em units.
#pragma once

#include <map>
#include <memory>
#include <mutex>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/geometry/centre_line.hpp"
#include "core/geometry/path.hpp"

namespace dotlane {

/// One letterform. Lengths in em; y points down and the baseline is y = 0.
struct Glyph {
  Path path;  ///< closed outlines under the non-zero rule, or open strokes
  double advance = 0;
  bool broken = false;  ///< the font's data for it cannot be read
};

/// A design axis of a variable face, such as weight.
struct FaceAxis {
  std::string tag, name;
  double low = 0, standard = 0, high = 0;
};

/// Settings of a variable face's axes, by tag; axes not named stand at their standard.
using AxisValues = std::map<std::string, double>;

/// One letterform as a run of text uses it. Lengths in em.
struct ShapedGlyph {
  unsigned glyph = 0;
  std::size_t cluster = 0;  ///< index of the first character it stands for
  Vec offset;               ///< of the form from the pen
  double advance = 0;
  bool right_to_left = false;  ///< it belongs to a run in that direction
};

/// A stretch of one script and one direction, and how it is set. Features are written as HarfBuzz reads them
/// ("swsh", "-liga", "ss01=1", "salt[3:5]=2"), places counted in characters of the whole text.
struct TextRun {
  std::size_t first = 0, last = 0;  ///< characters [first, last)
  bool right_to_left = false;
  unsigned script = 0;  ///< ISO 15924 tag as a number; 0 = unknown
  bool kerning = true;
  std::vector<std::string> features;
};

/// An opened face. All functions may be called from several threads.
class Face {
 public:
  virtual ~Face() = default;

  struct About {
    std::string name;              ///< family and style, as the font calls itself
    bool single_stroke = false;    ///< letterforms are strokes for a pen, not outlines
    bool outlines_allowed = true;  ///< the embedding flags (OS/2 fsType) let outlines be used; licences say the rest
    double cap_height = 0.7;       ///< of a capital H, em
    double ascender = 0.8;         ///< above the baseline, em
    double descender = 0.2;        ///< below the baseline, em
    double line_distance = 1.2;    ///< from baseline to baseline, em
    std::vector<std::string> features;  ///< OpenType tags of substitutions and positionings, sorted
    std::vector<FaceAxis> axes;
    std::size_t glyphs = 0;
  };
  [[nodiscard]] const About& about() const { return about_; }

  /// The letterform; an empty one for ids the face does not have.
  [[nodiscard]] virtual const Glyph& glyph(unsigned id) const = 0;
  [[nodiscard]] virtual std::string glyph_name(unsigned id) const = 0;
  [[nodiscard]] virtual std::optional<unsigned> glyph_named(const std::string& name) const = 0;
  /// The letterform of a character, before any feature; nothing where the face has none.
  [[nodiscard]] virtual std::optional<unsigned> glyph_for(char32_t character) const = 0;
  /// Every character the face has a form for, with its id.
  [[nodiscard]] virtual std::vector<std::pair<char32_t, unsigned>> characters() const = 0;
  /// Forms for a run of the text, in the order they stand from left to right. Characters without a form come as glyph
  /// 0.
  [[nodiscard]] virtual std::vector<ShapedGlyph> shape(std::u32string_view text, const TextRun& run) const = 0;
  /// A form's strokes as lines along their middles, and how thick they are; worked out when first asked for.
  [[nodiscard]] const CentreLines& centre_lines(unsigned id) const;

 protected:
  About about_;

 private:
  mutable std::mutex centre_mutex_;
  mutable std::map<unsigned, CentreLines> centres_;
};

/// Largest font file that is opened, bytes.
inline constexpr std::uintmax_t kLargestFont = 128u << 20;

/// Opens a font file: TrueType, OpenType or a collection of them (`index` says which), or Hershey data in JHF.
/// The error names the file and what is wrong with it.
[[nodiscard]] Result<std::shared_ptr<const Face>> open_face(const std::string& file, int index = 0,
                                                            const AxisValues& axes = {});

}  // namespace dotlane
