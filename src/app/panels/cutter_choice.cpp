#include "app/panels/cutter_choice.hpp"

#include <QCheckBox>
#include <QDir>
#include <QFileInfo>
#include <QFormLayout>
#include <QLineEdit>
#include <QSettings>

#include "app/dialogs.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "device/file_link.hpp"
#include "device/sim_cutter_link.hpp"

namespace dotlane {
namespace {

/// Where serial ports of USB and boards are.
QStringList ports_at_hand() {
  QStringList out;
  const QDir devices(QStringLiteral("/dev"));
  for (const auto& name : devices.entryList(
           {QStringLiteral("ttyUSB*"), QStringLiteral("ttyACM*"), QStringLiteral("ttyS?")}, QDir::System | QDir::Files))
    out << devices.filePath(name);
  return out;
}

}  // namespace

CutterChoice::CutterChoice(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  QSettings settings;
  settings.beginGroup(QStringLiteral("cutter"));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  what_ = new QComboBox(this);
  what_->setObjectName(QStringLiteral("cutterBox"));
  what_->setAccessibleName(tr("Which cutter the job goes to"));
  set_kind(what_, "boxed");
  what_->addItem(tr("on the simulated cutter"), static_cast<int>(What::simulated));
  what_->addItem(tr("on a cutter that takes HPGL, at a port"), static_cast<int>(What::port));
  what_->addItem(tr("into a file"), static_cast<int>(What::file));
  column->addWidget(what_);
  port_ = new QWidget(this);
  auto* form = new QFormLayout(port_);
  form->setContentsMargins(0, 0, 0, 0);
  form->setVerticalSpacing(3);
  const auto add = [&](const QString& label, QWidget* field, const char* name) {
    field->setObjectName(QString::fromLatin1(name));
    field->setAccessibleName(label);
    form->addRow(make_label(label, "quiet", port_), field);
  };
  path_ = new QComboBox(port_);
  path_->setEditable(true);
  path_->addItems(ports_at_hand());
  path_->setCurrentText(settings.value(QStringLiteral("port"), path_->currentText()).toString());
  set_kind(path_, "boxed");
  add(tr("port"), path_, "portPath");
  speed_ = new QComboBox(port_);
  for (const int baud : port_speeds()) speed_->addItem(tr("%1 baud").arg(baud), baud);
  speed_->setCurrentIndex(std::max(0, speed_->findData(settings.value(QStringLiteral("baud"), PortSettings{}.baud))));
  set_kind(speed_, "boxed");
  add(tr("speed"), speed_, "portSpeed");
  flow_ = new QComboBox(port_);
  flow_->addItem(QStringLiteral("XON/XOFF"), static_cast<int>(PortSettings::Flow::xon_xoff));
  flow_->addItem(QStringLiteral("RTS/CTS"), static_cast<int>(PortSettings::Flow::rts_cts));
  flow_->addItem(tr("none"), static_cast<int>(PortSettings::Flow::none));
  flow_->setCurrentIndex(std::max(0, flow_->findData(settings.value(QStringLiteral("flow"), 0))));
  set_kind(flow_, "boxed");
  add(tr("flow control"), flow_, "portFlow");
  asks_ = new QCheckBox(tr("it answers where its head is (OA)"), port_);
  asks_->setObjectName(QStringLiteral("portAsks"));
  asks_->setChecked(settings.value(QStringLiteral("asks"), true).toBool());
  asks_->setToolTip(
      tr("Then a run that is broken off goes on at the exact stroke. Else nobody but you knows how far it came"));
  form->addRow(asks_);
  column->addWidget(port_);
  for (auto* box : {what_, path_, speed_, flow_}) keep_narrow(box);
  port_->hide();
  connect(what_, &QComboBox::currentIndexChanged, this, [this] {
    port_->setVisible(what() == What::port);
    emit changed();
  });
  for (auto* box : {speed_, flow_}) connect(box, &QComboBox::currentIndexChanged, this, &CutterChoice::keep);
  connect(path_, &QComboBox::currentTextChanged, this, &CutterChoice::keep);
  connect(asks_, &QCheckBox::toggled, this, &CutterChoice::keep);
}

CutterChoice::What CutterChoice::what() const { return static_cast<What>(what_->currentData().toInt()); }

PortSettings CutterChoice::port() const {
  return {path_->currentText().trimmed(), speed_->currentData().toInt(),
          static_cast<PortSettings::Flow>(flow_->currentData().toInt()), asks_->isChecked()};
}

void CutterChoice::keep() {
  const PortSettings now = port();
  QSettings settings;
  settings.beginGroup(QStringLiteral("cutter"));
  settings.setValue(QStringLiteral("port"), now.path);
  settings.setValue(QStringLiteral("baud"), now.baud);
  settings.setValue(QStringLiteral("flow"), static_cast<int>(now.flow));
  settings.setValue(QStringLiteral("asks"), now.asks);
}

std::unique_ptr<CutterLink> CutterChoice::make() {
  switch (what()) {
    case What::port:
      return std::make_unique<PortLink>(port());
    case What::file: {
      const QString base = session_.path().isEmpty() ? qs(session_.project().name)
                                                     : QFileInfo(session_.path()).path() + QLatin1Char('/') +
                                                           QFileInfo(session_.path()).completeBaseName();
      const QString path =
          dialogs().saveFile(this, tr("Write the job"), base + QStringLiteral(".hpgl"), tr("HPGL (*.hpgl *.plt)"));
      return path.isEmpty() ? nullptr : std::make_unique<FileLink>(path);
    }
    default:
      return std::make_unique<SimCutterLink>();
  }
}

}  // namespace dotlane
