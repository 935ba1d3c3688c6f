// Catch2 itself, which takes long to compile, once for all the test programs.
#define CATCH_CONFIG_RUNNER
#include "runner.hpp"

#include <catch2/catch.hpp>

int run_tests(int argc, char** argv) { return Catch::Session().run(argc, argv); }
