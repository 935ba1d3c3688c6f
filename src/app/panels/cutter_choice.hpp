// Which cutter a run goes to: the simulated one, one on a port, or a file.
#pragma once

#include <QComboBox>
#include <QWidget>

#include "app/session.hpp"
#include "device/port_link.hpp"

class QCheckBox;
class QLineEdit;

namespace dotlane {

class CutterChoice : public QWidget {
  Q_OBJECT
 public:
  enum class What { simulated, port, file };
  CutterChoice(Session& session, QWidget* parent);

  [[nodiscard]] What what() const;
  /// Asks for a file where that is wanted. Nothing when the user stays.
  [[nodiscard]] std::unique_ptr<CutterLink> make();

 signals:
  void changed();

 private:
  [[nodiscard]] PortSettings port() const;
  void keep();
  Session& session_;
  QComboBox *what_, *path_, *speed_, *flow_;
  QCheckBox* asks_;
  QWidget* port_;
};

}  // namespace dotlane
