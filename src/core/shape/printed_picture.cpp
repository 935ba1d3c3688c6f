#include "core/shape/printed_picture.hpp"

#include "core/project/kinds.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/trace.hpp"

namespace dotlane {

std::optional<PrintedPicture> printed_picture(const Project& project, const DrawnPiece& drawn) {
  const Piece* piece = find_piece(project, drawn.piece->id);
  if (!piece || piece->source.kind != "picture" || piece->source.picture->empty()) return std::nullopt;
  const Reading take(*find_kind(shape_kinds(), "picture"), piece->source.values);
  if (!take.flag("print")) return std::nullopt;
  const Crop crop = crop_of(*piece->source.picture, take);
  if (crop.width < 1 || crop.height < 1) return std::nullopt;
  const double mm = take.number("width") / crop.width;
  return PrintedPicture{piece->source.picture.handle(),
                        crop.x0,
                        crop.y0,
                        crop.width,
                        crop.height,
                        drawn.map * frame_of(piece->placement).shape * Affine::scale(mm, mm)};
}

}  // namespace dotlane
