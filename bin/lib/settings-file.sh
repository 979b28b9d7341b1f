# One setting in a file of NAME=value lines. Only the shell's own commands see the value: what is handed to another program as an
# argument can be read by every user of the machine. To be sourced.
# shellcheck shell=bash

# set_in FILE NAME VALUE: changed where it stands, else added at the end; the file's owner and mode stay.
set_in() {
  local file=$1 name=$2 value=$3 line lines=() found=no
  while IFS= read -r line || [ -n "$line" ]; do
    if [[ $line == "$name="* ]]; then line="$name=$value" found=yes; fi
    lines+=("$line")
  done <"$file"
  [ "$found" = yes ] || lines+=("$name=$value")
  printf '%s\n' "${lines[@]}" >"$file"
}
