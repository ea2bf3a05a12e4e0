#!/bin/sh
# Chromium without a window of its own: its shell, which opens no page where it is not told one, and ChromeDriver waits
# for one. A page opens in a quarter of the time it takes the whole browser, and the pages look the same.
exec /usr/bin/chromium-headless-shell "$@" about:blank
