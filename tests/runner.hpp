#pragma once

/// Runs the tests that the command line asks for, as Catch2 reads it. Returns the exit code.
int run_tests(int argc, char** argv);
