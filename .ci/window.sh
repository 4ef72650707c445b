# For the scripts beside this one: a display with a window manager, and what is done with the window on it.

# A display of its own, as on a desk: a window manager says how large windows are. $1: its number; $2: its size.
begin_display() {
    export DISPLAY=":$1"
    Xvfb "$DISPLAY" -screen 0 "${2:-1280x800}x24" >/dev/null 2>&1 &
    xvfb=$!
    trap 'kill $xvfb 2>/dev/null || true' EXIT
    for n in $(seq 50); do [ -e "/tmp/.X11-unix/X$1" ] && break; sleep 0.1; done
    openbox >/dev/null 2>&1 &
    sleep 1
}

window() { xdotool search --onlyvisible --name '^Pixeron$' 2>/dev/null | head -1; }

# Waits until the window is there and gives it the keyboard. $1: seconds for what comes after, such as opening a project; a busy machine
# needs more, so it also waits until the window is drawn and no longer changes.
until_window() {
    timeout 180 bash -c 'until xdotool search --onlyvisible --name "^Pixeron$" >/dev/null 2>&1; do sleep 0.2; done'
    sleep "$1"
    until_still
    xdotool windowfocus "$(window)"
}

# Waits until two pictures in a row are the same and show something, for two minutes or more.
until_still() {
    local shot last="" now
    shot=$(mktemp --suffix=.png)
    for n in $(seq 120); do
        import -window root "$shot"
        now=$(identify -format '%# %k' "$shot")
        [ "$now" = "$last" ] && [ "${now##* }" -gt 100 ] && break
        last=$now
        sleep 0.5
    done
    rm -f "$shot"
}

# Whether other work keeps this machine busy, so that times say nothing about Pixeron.
is_busy() { awk '{ exit !($1 > 5) }' /proc/loadavg; }

# The picture of the whole screen must show something. $1: file.
picture() {
    import -window root "$1"
    local colors=$(identify -format %k "$1")
    echo "picture with $colors colors"
    [ "$colors" -gt 100 ] || { echo "the picture is blank"; exit 1; }
}

# Ctrl+Q, and the process must end. $1: the process.
quit_window() {
    xdotool key ctrl+q
    for n in $(seq 300); do kill -0 "$1" 2>/dev/null || return 0; sleep 0.2; done
    echo "the window did not close"; kill -9 "$1"; exit 1
}

# Waits until there is no window any more.
until_gone() {
    for n in $(seq 300); do [ -n "$(window)" ] || return 0; sleep 0.1; done
    echo "the window stays"; exit 1
}

no_error_in() {
    if grep -E "Exception|ERROR" "$@" 2>/dev/null; then echo "the log has an error"; exit 1; fi
}
