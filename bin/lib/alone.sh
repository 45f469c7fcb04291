#!/bin/sh
# Runs a process that has children. When an earlier one was killed without
# ceremony, its children live on and hold its port, and its socket stays: they are ended first.
#   alone.sh FILE SOCKET COMMAND...   FILE keeps the process group
file=$1 socket=$2; shift 2
name=$(basename "$1")
old=$(cat "$file" 2>/dev/null)
if [ -n "$old" ]; then
    # A number may have been given to somebody else meanwhile: only what has our name is ended.
    awk -v group="$old" -v name="($name)" '$5 == group && $2 == name { print $1 }' /proc/[0-9]*/stat 2>/dev/null | while read -r left; do kill -KILL "$left" 2>/dev/null; done
fi
rm -f "$socket"
echo $$ >"$file"
exec "$@"
