// Runs the tests of the core: no event loop, no window.
#include "runner.hpp"

int main(int argc, char** argv) { return run_tests(argc, argv); }
