#include "app/application.hpp"

#include <QComboBox>
#include <QEvent>
#include <cstdio>
#include <exception>

namespace dotlane {

bool Application::notify(QObject* receiver, QEvent* event) {
  QString what;
  // A wheel that scrolls a panel must not change the choices that come under it.
  if (event->type() == QEvent::Wheel && qobject_cast<QComboBox*>(receiver) && receiver->parent())
    receiver = receiver->parent();
  try {
    return QApplication::notify(receiver, event);
  } catch (const std::bad_alloc&) {
    what = tr("there is not enough memory");
  } catch (const std::exception& e) {
    what = QString::fromUtf8(e.what());
  }
  std::fprintf(stderr, "dot-lane: %s\n", qPrintable(what));
  emit failed(what);
  return false;
}

}  // namespace dotlane
