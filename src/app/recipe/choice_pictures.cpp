#include "app/recipe/choice_pictures.hpp"

#include <QPainter>
#include <QPainterPath>
#include <algorithm>

#include "app/style.hpp"
#include "core/shape/copies.hpp"

namespace dotlane {
namespace {

/// A pennant on its staff: which way it is turned can be seen at any size.
Polyline pennant() { return {{{0, 0}, {6.5, 2.6}, {1.6, 4.6}, {1.6, 9}, {0, 9}, {0, 0}}, true}; }

std::optional<CopyOptions> shown(const std::string& key, const std::string& word) {
  const KindSpec* kind = find_kind(step_kinds(), "repeat");
  const ValueSpec* spec = kind->find(key);
  if (!spec || (key != "way" && key != "each")) return std::nullopt;
  if (std::none_of(spec->words.begin(), spec->words.end(), [&](const Word& w) { return w.word == word; }))
    return std::nullopt;
  Values values{{key, word}, {"count", 3.0}, {"rows", word == "hex" ? 3.0 : 2.0}, {"gap", 2.5}};
  if (key == "each") {
    values["way"] = std::string("grid");
    if (word == "p6") values["count"] = 1.0, values["rows"] = 1.0, values["gap"] = -1.0;
    if (word == "p4" || word == "pmm") values["count"] = 2.0;
  }
  if (word == "around") values["count"] = 6.0, values["radius"] = 11.0;
  if (word == "path") values["count"] = 4.0;
  CopyOptions out = copy_options(Reading(*kind, values));
  if (word == "path") out.path = {{{{0, 7}, {8, 2}, {15, 0}, {22, 2}, {30, 8}}, false}};
  return out;
}

}  // namespace

std::optional<QIcon> choice_picture(const ValueSpec& spec, const std::string& word) {
  const auto options = shown(spec.key, word);
  if (!options) return std::nullopt;
  CopyTrouble trouble = CopyTrouble::none;
  const Copies copies = copies_of({pennant()}, *options, 100, trouble);
  Box box;
  for (const auto& copy : copies.copies) {
    for (const Vec p : transformed(pennant(), copy.map).points) box.add(p);
  }
  if (box.empty()) return std::nullopt;
  QPixmap pixmap(kChoicePicture * 2);
  pixmap.setDevicePixelRatio(2);
  pixmap.fill(Qt::transparent);
  QPainter p(&pixmap);
  p.setRenderHint(QPainter::Antialiasing);
  const double scale =
      std::min((kChoicePicture.width() - 2) / box.width(), (kChoicePicture.height() - 2) / box.height());
  p.translate(kChoicePicture.width() / 2.0, kChoicePicture.height() / 2.0);
  p.scale(scale, scale);
  p.translate(-box.centre().x, -box.centre().y);
  p.setPen(Qt::NoPen);
  for (std::size_t k = 0; k < copies.copies.size(); ++k) {
    QPolygonF flag;
    for (const Vec q : transformed(pennant(), copies.copies[k].map).points) flag.append(QPointF(q.x, q.y));
    // The motif itself stands out.
    p.setBrush(k == 0 ? theme().accent : theme().ink);
    p.drawPolygon(flag);
  }
  return QIcon(pixmap);
}

}  // namespace dotlane
