// A strip over the bench that says what happened or asks something, without getting in the way.
#pragma once

#include <QFrame>
#include <QLabel>
#include <QPointer>
#include <QTimer>
#include <functional>
#include <vector>

class QBoxLayout;
class QHBoxLayout;

namespace dotlane {

class Notice : public QFrame {
  Q_OBJECT
 public:
  struct Choice {
    QString text;
    std::function<void()> run;
  };
  explicit Notice(QWidget* parent);
  /// Says something for a few seconds; problems stay until dismissed.
  void say(const QString& message, bool problem);
  /// Asks; stays until a choice is made or another notice comes.
  void ask(const QString& message, std::vector<Choice> choices);
  /// Something is under way and can be stopped.
  void busy(const QString& message, std::function<void()> cancel);
  /// The keyboard goes to the first answer, where there is one.
  void focusAnswer();
  [[nodiscard]] QString message() const { return text_->text(); }

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  /// As wide as it needs, in the middle of what it lies over.
  void place();
  void show(const QString& message, const char* kind, std::vector<Choice> choices, int ms);
  QLabel* text_;
  QBoxLayout* row_;
  QHBoxLayout* choices_;
  std::vector<QWidget*> buttons_;
  QPointer<QWidget> came_from_;  // what had the keyboard before an answer
  QTimer timer_;
};

}  // namespace dotlane
