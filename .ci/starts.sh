# Sourced by ./verify: the program as somebody else has it, a clone in a folder named with a space and an
# accent, without HOME, in the C locale, built by the newest JDK of this machine, opened on the newest and the oldest.

start_fails() { # what to do
  echo "verify: $1" >&2
  exit 1
}

# The environment of a stranger: nothing but what is said here.
bare() { env -i PATH="$PATH" LC_ALL=C "$@"; }

open_window() { # clone, JDK, which time
  bare DISPLAY="$DISPLAY" JAVA_HOME="$2" VOCALIS_MAVEN_OPTIONS="$options" \
    VOCALIS_JAVA_OPTIONS="-Dprism.order=sw -Dvocalis.closeAfterSeconds=2 -Dvocalis.data=/tmp/vocalis-verify-$$" \
    timeout 900 nice -n 5 "$1/vocalis" --demo >"$stage/window.log" 2>&1 ||
    { tail -n 20 "$stage/window.log" >&2; start_fails "the window did not open on $2 ($3); above is what it said"; }
  if grep -qE 'Exception|^[[:space:]]at |WARNING|\[error\]' "$stage/window.log"; then
    cat "$stage/window.log" >&2
    start_fails "the window opened on $2 ($3) but complained; above is what it said"
  fi
}

# A clone of what is committed, with what is changed here on top.
clone_here() { # to
  git clone -q --no-hardlinks "$here" "$1" 2>/dev/null || start_fails "git cannot clone $here"
  git -C "$here" ls-files -z -m -o --exclude-standard | while IFS= read -r -d '' f; do
    if [ -e "$here/$f" ]; then mkdir -p "$1/$(dirname "$f")" && cp "$here/$f" "$1/$f"; else rm -f "$1/$f"; fi
  done
}

# Opens the clone twice, without a home folder and in the C locale, and asks it for one line.
start_on() { # JDK, version
  open_window "$clone" "$1" "built and opened"
  open_window "$clone" "$1" "opened again"
  ls "$clone"/target/app/classes-*.jsa >/dev/null 2>&1 || start_fails "no archive of classes was made on $1"
  said=$(bare JAVA_HOME="$1" "$clone/vocalis" name x-1-3-3-x-x --key "Bb minor" 2>&1) ||
    start_fails "./vocalis name failed on $1: $said"
  case "$said" in *Bb5*) ;; *) start_fails "in the C locale a flat should be b, but it said: $said" ;; esac
  if said=$(bare JAVA_HOME="$1" "$clone/vocalis" --demo 2>&1); then start_fails "without a display it did not fail"; fi
  [ "$(printf '%s\n' "$said" | wc -l)" = 1 ] || start_fails "without a display it should say one line, but said: $said"
  echo "verify: a clone in a folder with a space and an accent opened its window twice on Java $2 and said one line without a display"
}

# A compiler knows lints that an older one does not; tests are held to them too.
lint_on() { # JDK, version
  (cd "$clone" && MAVEN_OPTS="-XX:TieredStopAtLevel=1 -XX:+UseSerialGC" JAVA_HOME="$1" mvn -q -B -ntp -Dspotless.check.skip=true $options test-compile) >"$stage/lint.log" 2>&1 ||
    { grep -E 'WARN|ERROR' "$stage/lint.log" | head -n 20 >&2; start_fails "the compiler of $1 warns; above is of what"; }
  echo "verify: the compiler of Java $2 warns of nothing"
}

check_starts() {
  if ! { command -v Xvfb && command -v xauth; } >/dev/null 2>&1; then
    if can_install; then install_packages "a virtual display" xvfb xauth
    else
      echo "verify: no virtual display here (xvfb xauth); the window was not opened"
      return 0
    fi
  fi
  stage=$(mktemp -d)
  repository=
  [ -z "$long" ] || repository="-Dmaven.repo.local=$stage/empty-repository"
  display=90
  while [ -e "/tmp/.X$display-lock" ]; do display=$((display + 1)); done
  Xvfb ":$display" -screen 0 1280x800x24 -nolisten tcp >/dev/null 2>&1 &
  server=$!
  trap 'kill $server 2>/dev/null; rm -rf "$stage" "/tmp/vocalis-verify-$$"' EXIT
  sleep 1
  export DISPLAY=":$display"
  jdks=$(all_jdks)
  oldest=$(printf '%s\n' "$jdks" | head -n 1)
  newest=$(printf '%s\n' "$jdks" | tail -n 1)
  # Built once, by the newest; the machine's own JDK builds the checkout itself in ./verify.
  clone=$(printf '%s/Fr\303\251sh clone' "$stage")
  clone_here "$clone"
  options="-Dmaven.compiler.failOnWarning=true $repository"
  start_on "${newest#* }" "${newest%% *}"
  if [ "${oldest%% *}" != "${newest%% *}" ]; then
    start_on "${oldest#* }" "${oldest%% *}"
    lint_on "${newest#* }" "${newest%% *}"
  fi
  kill $server 2>/dev/null || true
  rm -rf "$stage" "/tmp/vocalis-verify-$$"
  trap - EXIT
}
