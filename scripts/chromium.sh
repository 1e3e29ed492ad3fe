#!/bin/sh
# The browser of the tests: Chromium's shell without a window, which costs a third less to start and to run, or the whole
# browser where that is not installed. A driver waits for a first page, and the shell opens none unless told.
shell=/usr/lib/chromium/chromium-headless-shell
[ -x "$shell" ] && exec "$shell" "$@" about:blank
exec /usr/bin/chromium "$@"
