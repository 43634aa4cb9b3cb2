#!/usr/bin/env bash
# Runs a program, and starts it again when it dies by itself: watch.sh PIDFILE PROGRAM ARGUMENT…
# One that dies as soon as it has started is not started again: what is wrong with it is still wrong.
PIDFILE=$1
shift
SOON=${OSTENDUM_SOON:-20}
while :; do
  begun=$SECONDS
  "$@" &
  echo $! >"$PIDFILE"
  wait $!
  code=$?
  # Ended in order, or told to stop.
  case $code in 0 | 130 | 143) break ;; esac
  [ $((SECONDS - begun)) -ge "$SOON" ] || break
  echo "ostendum: it died with $code; starting it again"
  sleep 1
done
rm -f "$PIDFILE"
exit "$code"
