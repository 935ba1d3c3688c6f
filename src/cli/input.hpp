// What the commands share: reading what they work on, saying what came of it.
#pragma once

#include <QGuiApplication>
#include <memory>
#include <optional>
#include <string>

#include "cli/options.hpp"
#include "cli/report.hpp"
#include "core/project/artwork.hpp"

namespace dotlane::cli {

void print(const std::string& text);
void print_json(const Json& json);
/// Makes sure that all of it arrived; a full disk is an error like any other.
void finish_output();
[[nodiscard]] bool ends_with(const std::string& path, const char* ending);

/// A QGuiApplication for what needs fonts, pictures or an event loop. With no display, it draws off screen.
[[nodiscard]] std::unique_ptr<QGuiApplication> application();

struct Input {
  Project project;
  std::optional<Artwork> art;
};

/// A project, or a drawing as a project of one piece; of a file with several pages, one.
[[nodiscard]] Input load(const std::string& path, double per_inch = 96, int page = 1);

}  // namespace dotlane::cli
