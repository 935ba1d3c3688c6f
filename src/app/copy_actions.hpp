// Copies: in the project, through the clipboard to other windows and programs, and on in the same way.
#pragma once

#include <QObject>

#include "app/actions.hpp"
#include "app/notice.hpp"
#include "app/session.hpp"
#include "core/shape/clip.hpp"

class QMimeData;

namespace dotlane {

class CopyActions : public QObject {
  Q_OBJECT
 public:
  /// `remove` takes away what is selected, asking where recipes work with it.
  CopyActions(Session& session, Actions& actions, Notice& notice, std::function<void()> remove, QObject* parent);
  /// What was dropped: a drawing, a picture or words. False where it is none of these.
  bool take(const QMimeData& what);
  /// Which actions make sense for what is selected.
  void update();

 private:
  void duplicate(Vec by, const QString& label);
  void copy(bool cut);
  void paste(bool in_place);
  void pasteDrawing(const QByteArray& svg);
  void pastePicture(const QImage& picture);
  void pasteWords(const QString& words);
  void again();

  Session& session_;
  Actions& actions_;
  Notice& notice_;
  std::function<void()> remove_;
  QByteArray from_;           // tells projects apart, of other windows and those opened before
  int pastes_ = 0;            // of what is on the clipboard
  std::vector<Copied> last_;  // the last copies made
};

}  // namespace dotlane
