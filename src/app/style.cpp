#include "app/style.hpp"

#include <QApplication>
#include <QComboBox>
#include <QPalette>
#include <QStyle>
#include <QStyleFactory>
#include <optional>

namespace dotlane {
namespace {

std::optional<Theme> g_theme;  // in use

/// Colours are named as in Theme; @name is replaced by its value.
constexpr const char* kSheet = R"(
QWidget { color: @ink; font-family: "Open Sans"; font-size: 13px; }
QToolTip { background: @panel; color: @ink; border: 1px solid @hairline; padding: 4px 6px; }
*[kind="panel"] { background: @panel; }
*[kind="ground"] { background: @ground; }
*[kind="topbar"] { background: @panel; border-bottom: 1px solid @hairline; }
*[kind="left"] { background: @panel; border-right: 1px solid @hairline; }
*[kind="right"] { background: @panel; border-left: 1px solid @hairline; }
*[kind="bottom"] { background: @panel; border-top: 1px solid @hairline; }
QLabel { background: transparent; }
QDialogButtonBox, QMessageBox { dialogbuttonbox-buttons-have-icons: 0; }
QFileDialog QToolButton { padding: 2px 5px; border-radius: 8px; }
QLabel[kind="title"] { font-size: 15px; font-weight: 600; }
QLabel[kind="heading"] { color: @quiet; font-weight: 600; }
QLabel[kind="name"] { font-weight: 600; }
QLabel[kind="quiet"] { color: @quiet; font-size: 12px; }
QLabel[kind="figure"] { font-size: 16px; font-weight: 600; }
QLabel[kind="serious"] { color: @serious; font-size: 12px; }
QFrame[kind="card"] { background: @field; border: 1px solid @hairline; border-radius: 8px; }
QFrame[kind="hands"] { background: @hands_soft; border: 1px solid @hands; border-radius: 8px; }
QFrame[kind="serious"] { background: @serious_soft; border: 1px solid @serious; border-radius: 8px; }
QFrame[kind="popup"] { background: @panel; border: 1px solid @hairline; border-radius: 8px; }
QListWidget#shapeList::item { border-radius: 8px; padding: 3px; }
QListWidget#shapeList::item:hover, QListWidget#shapeList::item:selected { background: @accent_soft; color: @ink; }
QFrame[kind="line"] { background: @hairline; border: none; max-height: 1px; min-height: 1px; }
QPushButton, QToolButton { background: @field; border: 1px solid @hairline; border-radius: 14px; padding: 4px 14px; min-height: 18px; }
QPushButton:hover, QToolButton:hover { border-color: @accent; }
QPushButton:pressed, QToolButton:pressed { background: @accent_soft; }
QPushButton:focus, QToolButton:focus { border: 2px solid @accent; padding: 3px 13px; }
QPushButton:disabled, QToolButton:disabled { color: @quiet; background: @ground; }
QPushButton[kind="primary"] { background: @accent; color: @on_accent; border-color: @accent; font-weight: 600; }
QPushButton[kind="primary"]:disabled { background: @ground; color: @quiet; border-color: @hairline; }
QPushButton[kind="primary"]:focus { border: 2px solid @ink; }
QPushButton[kind="soft"] { color: @accent; font-weight: 600; }
QPushButton[kind="chip"], QToolButton[kind="chip"] { border-radius: 12px; padding: 2px 9px; font-size: 12px; min-height: 18px; }
QPushButton[kind="chip"]:focus, QToolButton[kind="chip"]:focus { padding: 1px 8px; }
QPushButton[kind="chip"]:checked { background: @accent_soft; border-color: @accent; color: @accent; font-weight: 600; }
QPushButton[kind="project"] { border: 1px solid transparent; background: transparent; border-radius: 8px; text-align: left; font-size: 15px; font-weight: 600; padding: 4px 6px; }
QPushButton[kind="project"]:hover { background: @accent_soft; }
QPushButton[kind="project"]:focus { border: 2px solid @accent; padding: 3px 5px; }
QPushButton::menu-indicator { image: none; width: 0; }
QPushButton[kind="row"] { border: 1px solid transparent; border-radius: 8px; background: transparent; text-align: left; padding: 5px 8px; }
QPushButton[kind="row"]:hover { background: @accent_soft; }
QPushButton[kind="row"]:checked { background: @accent_soft; border-color: @accent_soft; }
QPushButton[kind="row"]:focus { border: 2px solid @accent; padding: 4px 7px; }
QToolButton[kind="flat"], QPushButton[kind="flat"] { border: 1px solid transparent; background: transparent; padding: 2px 6px; border-radius: 8px; }
QToolButton[kind="flat"]:hover, QPushButton[kind="flat"]:hover { background: @accent_soft; }
QToolButton[kind="flat"]:focus, QPushButton[kind="flat"]:focus { border: 2px solid @accent; padding: 1px 5px; }
QToolButton::menu-indicator { image: none; width: 0; }
QLineEdit, QComboBox, QSpinBox { background: transparent; border: 1px solid transparent; border-radius: 6px; padding: 2px 5px; min-height: 18px; selection-background-color: @accent; selection-color: @on_accent; }
QLineEdit:hover, QComboBox:hover, QSpinBox:hover { background: @field; border-color: @hairline; }
QLineEdit:focus, QComboBox:focus, QSpinBox:focus { background: @field; border: 2px solid @accent; padding: 1px 4px; }
QPlainTextEdit { background: @field; border: 1px solid @hairline; border-radius: 6px; padding: 1px; }
QPlainTextEdit:focus { border: 2px solid @accent; padding: 0; }
QLineEdit[kind="boxed"], QComboBox[kind="boxed"] { background: @field; border: 1px solid @hairline; }
QLineEdit[kind="boxed"]:focus, QComboBox[kind="boxed"]:focus { border: 2px solid @accent; }
QLineEdit[kind="number"] { font-weight: 600; }
QLineEdit[kind="figure"] { font-size: 16px; font-weight: 600; }
QLineEdit#actionFinder { border-radius: 14px; padding: 3px 12px; min-height: 20px; }
QLineEdit#actionFinder:focus { padding: 2px 11px; }
QLineEdit[wrong="true"] { border: 2px solid @serious; }
QLineEdit:disabled { color: @quiet; }
QComboBox::drop-down { border: none; width: 16px; }
QComboBox::down-arrow { image: url(:/icons/down-@mode.png); width: 10px; height: 7px; margin-right: 6px; }
QComboBox QAbstractItemView { background: @panel; border: 1px solid @hairline; selection-background-color: @accent_soft; selection-color: @ink; outline: none; }
QCheckBox { spacing: 8px; background: transparent; border: 2px solid transparent; border-radius: 6px; outline: none; }
QCheckBox::indicator { width: 15px; height: 15px; border: 1.5px solid @quiet; border-radius: 4px; background: @field; }
QCheckBox::indicator:checked { background: @accent; border-color: @accent; image: url(:/icons/check-@mode.png); }
QCheckBox:focus { color: @accent; border-color: @accent; }
QScrollArea { background: transparent; border: 1px solid transparent; }
QScrollArea:focus { border-color: @accent; }
QScrollArea > QWidget > QWidget { background: transparent; border: none; }
QStackedWidget[kind="right"] { background: @panel; border-left: 1px solid @hairline; }
QTreeView { background: @panel; border: none; outline: none; }
QTreeView:focus { border: none; }
QListView { background: @panel; border: 1px solid transparent; outline: none; }
QListView:focus { border-color: @accent; }
QMenu { background: @panel; border: 1px solid @hairline; padding: 4px; }
QMenu::item { padding: 5px 24px 5px 14px; border-radius: 4px; }
QMenu::item:selected { background: @accent_soft; }
QMenu::item:disabled { color: @quiet; }
QMenu::separator { height: 1px; background: @hairline; margin: 4px 8px; }
QScrollBar:vertical { background: transparent; width: 10px; margin: 0; }
QScrollBar::handle:vertical { background: @hairline; border-radius: 4px; min-height: 24px; margin: 1px; }
QScrollBar:horizontal { background: transparent; height: 10px; margin: 0; }
QScrollBar::handle:horizontal { background: @hairline; border-radius: 4px; min-width: 24px; margin: 1px; }
QScrollBar::add-line, QScrollBar::sub-line { width: 0; height: 0; }
QScrollBar::add-page, QScrollBar::sub-page { background: transparent; }
QProgressBar { background: @ground; border: 1px solid @hairline; border-radius: 6px; max-height: 10px; text-align: center; }
QProgressBar::chunk { background: @accent; border-radius: 5px; }
QDialog { background: @panel; }
)";

QString style_sheet(const Theme& t) {
  QString sheet = QString::fromLatin1(kSheet);
  // Longer names first, so that @hands_soft is not taken for @hands.
  const std::pair<const char*, QColor> names[] = {{"@accent_soft", t.accent_soft},
                                                  {"@hands_soft", t.hands_soft},
                                                  {"@serious_soft", t.serious_soft},
                                                  {"@on_accent", t.dark ? QColor("#10201F") : QColor("#FFFFFF")},
                                                  {"@ground", t.ground},
                                                  {"@panel", t.panel},
                                                  {"@hairline", t.hairline},
                                                  {"@ink", t.ink},
                                                  {"@quiet", t.quiet},
                                                  {"@accent", t.accent},
                                                  {"@hands", t.hands},
                                                  {"@serious", t.serious},
                                                  {"@field", t.field}};
  sheet.replace(QStringLiteral("@mode"), t.dark ? QStringLiteral("dark") : QStringLiteral("light"));
  for (const auto& [name, color] : names) sheet.replace(QLatin1String(name), color.name());
  return sheet;
}

}  // namespace

const Theme& theme() { return g_theme ? *g_theme : light_theme(); }

void use_theme(bool dark, const QColor& mat) {
  g_theme = dark ? dark_theme() : light_theme();
  if (mat.isValid()) {
    // Edge and dots are seen on it, and are no louder than on the look's own.
    const bool deep = mat.lightnessF() < 0.5F;
    g_theme->mat = mat, g_theme->mat_edge = deep ? mat.lighter(150) : mat.darker(125);
    g_theme->mat_dot = deep ? mat.lighter(135) : mat.darker(112);
  }
  const Theme& t = theme();
  load_fonts();
  QApplication::setStyle(QStyleFactory::create(QStringLiteral("Fusion")));
  QPalette palette;
  palette.setColor(QPalette::Window, t.ground);
  palette.setColor(QPalette::WindowText, t.ink);
  palette.setColor(QPalette::Base, t.panel);
  palette.setColor(QPalette::AlternateBase, t.ground);
  palette.setColor(QPalette::Text, t.ink);
  palette.setColor(QPalette::Button, t.panel);
  palette.setColor(QPalette::ButtonText, t.ink);
  palette.setColor(QPalette::Highlight, t.accent);
  palette.setColor(QPalette::HighlightedText, t.dark ? QColor("#10201F") : QColor(Qt::white));
  palette.setColor(QPalette::PlaceholderText, t.quiet);
  palette.setColor(QPalette::ToolTipBase, t.panel);
  palette.setColor(QPalette::ToolTipText, t.ink);
  QApplication::setPalette(palette);
  QApplication::setFont(ui_font(13));
  qApp->setStyleSheet(style_sheet(t));
  for (QWidget* widget : QApplication::allWidgets()) widget->update();
}

void keep_narrow(QComboBox* box) {
  constexpr int kLetters = 8;
  box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
  box->setMinimumContentsLength(kLetters);
}

void set_kind(QWidget* widget, const char* kind) { widget->setProperty("kind", QString::fromLatin1(kind)); }

}  // namespace dotlane
