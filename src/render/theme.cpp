#include "render/theme.hpp"

#include <QFontDatabase>
#include <algorithm>
#include <cmath>
#include <map>

// The resources sit in a static library, where they must be asked for; the macro wants the global namespace.
static void init_resources() { Q_INIT_RESOURCE(resources); }

namespace dotlane {

const Theme& light_theme() {
  static const Theme theme{false,     "#F3EEE4", "#FBF8F2", "#DED6C8", "#2B2A28", "#6F6A62", "#1F6F78", "#E6EFEE",
                           "#C77F0A", "#FDF1DC", "#9C3D2E", "#F7E4DE", "#E9EFE9", "#C9D3C9", "#B4C2B6", "#FFFFFF"};
  return theme;
}

const Theme& dark_theme() {
  static const Theme theme{true,      "#1F211F", "#272A28", "#3A3E3B", "#ECE7DC", "#A39D92", "#5FB3BA", "#2F3D3D",
                           "#E2A23B", "#40351F", "#E08872", "#44302A", "#2B332E", "#46524A", "#4B584F", "#1F211F"};
  return theme;
}

void load_fonts() {
  static const bool once = [] {
    init_resources();
    for (const char* file : {":/fonts/OpenSans-Regular.ttf", ":/fonts/OpenSans-Semibold.ttf"}) {
      QFontDatabase::addApplicationFont(QString::fromLatin1(file));
    }
    return true;
  }();
  (void)once;
}

QFont ui_font(double px, bool semibold) {
  // Kept, so that each has found its face once: looking for that takes longer than most of what is written.
  thread_local std::map<std::pair<int, bool>, QFont> kept;
  const int size = static_cast<int>(std::lround(px));
  QFont& font = kept[{size, semibold}];
  if (font.pixelSize() == size) return font;
  font = QFont(QStringLiteral("Open Sans"));
  font.setPixelSize(size);
  if (semibold) font.setWeight(QFont::DemiBold);
  font.setHintingPreference(QFont::PreferNoHinting);
  return font;
}

double contrast(Color a, Color b) {
  const double x = luminance(a), y = luminance(b);
  return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
}

}  // namespace dotlane
