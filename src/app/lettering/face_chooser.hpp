// The typefaces at hand, each shown in the words being set.
#pragma once

#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QPushButton>
#include <QSet>

#include "app/session.hpp"
#include "core/text/typefaces.hpp"

namespace dotlane {

class FaceChooser : public QDialog {
  Q_OBJECT
 public:
  /// `words` are shown in every face; `now` is the one in use.
  FaceChooser(Session& session, const QString& words, const QString& now, QWidget* parent);

  [[nodiscard]] QListWidget* list() const { return list_; }

 signals:
  /// The row that is looked at: shown on the bench at once.
  void looked(const QString& name);
  void chosen(const QString& name);

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  void addRows(const std::vector<Typeface>& faces);
  void filter();
  void toggleFavourite();

  QString now_;
  QLineEdit* search_;
  QPushButton *favourites_only_, *strokes_only_;
  QListWidget* list_;
  QSet<QString> favourites_;
};

}  // namespace dotlane
