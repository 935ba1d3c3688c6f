"""Limits under which a program must do its work. Sanitizers take address space and time of their own: see DOTLANE_SANITIZED."""
import os
import resource

SANITIZED = os.environ.get("DOTLANE_SANITIZED") == "1"


def seconds(n):
    return n * 10 if SANITIZED else n


def memory(gigabytes):
    """What a child process calls before it starts."""
    def limit():
        if not SANITIZED:
            resource.setrlimit(resource.RLIMIT_AS, (gigabytes << 30, gigabytes << 30))
    return limit
