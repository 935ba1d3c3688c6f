// What the commands share: reading what they work on, saying what came of it.
#pragma once

#include <QApplication>
#include <memory>
#include <optional>
#include <string>

#include "cli/options.hpp"
#include "cli/report.hpp"
#include "core/project/artwork.hpp"

namespace dotlane::cli {

void print(const std::string& text);
void print_json(const Json& json);
[[noreturn]] void refuse(std::string message, std::string place = {});
[[nodiscard]] bool ends_with(const std::string& path, const char* ending);

/// A QApplication for what needs fonts, pictures or an event loop. With no display, it draws off screen.
[[nodiscard]] std::unique_ptr<QApplication> application();

struct Input {
  Project project;
  std::optional<Artwork> art;
};

/// A project, or a drawing as a project of one piece.
[[nodiscard]] Input load(const std::string& path, double per_inch = 96);

}  // namespace dotlane::cli
