// The card of one thing among tiles: a frame, a picture in it, and where the words go.
#pragma once

#include <QPainter>
#include <QPixmap>
#include <QStyleOptionViewItem>

namespace dotlane {

/// Paints the frame as the item's state wants it and the picture in its upper part; returns the room under the picture.
QRectF paint_tile_card(QPainter& painter, const QStyleOptionViewItem& option, const QRectF& card,
                       const QPixmap& picture, double picture_height);
/// One line of words, cut short where there is no room.
void paint_tile_line(QPainter& painter, const QRectF& line, const QString& text);

}  // namespace dotlane
