# Sourced by ./vocalis and ./verify: finds what they need, installs it as root on Debian, names it otherwise.

can_install() { [ "$(id -u)" = 0 ] && command -v apt-get >/dev/null 2>&1; }

install_packages() { # why package…
  why=$1
  shift
  if can_install; then
    echo "Installing $* ($why) …" >&2
    log=$(mktemp)
    if { apt-get update -qq && DEBIAN_FRONTEND=noninteractive apt-get install -y -qq --no-install-recommends "$@"; } >"$log" 2>&1; then
      rm -f "$log"
      return 0
    fi
    tail -n 5 "$log" >&2
    rm -f "$log"
  fi
  echo "vocalis: $why is missing. Install it: apt-get install --no-install-recommends $*" >&2
  exit 2
}

need_java() { # project folder
  if [ -n "${JAVA_HOME:-}" ] && [ -x "$JAVA_HOME/bin/java" ]; then JAVA=$JAVA_HOME/bin/java; else JAVA=$(command -v java || true); fi
  version=0
  [ -z "$JAVA" ] || version=$("$JAVA" -version 2>&1 | sed -n 's/.*version "\([0-9]*\).*/\1/p')
  if [ "${version:-0}" -lt 17 ]; then
    install_packages "a Java development kit, 17 or newer," openjdk-17-jdk-headless
    JAVA=$(command -v java)
  fi
  export JAVA
}

need_maven() {
  command -v javac >/dev/null 2>&1 || [ -x "${JAVA_HOME:-/none}/bin/javac" ] || install_packages "the Java compiler" openjdk-17-jdk-headless
  command -v mvn >/dev/null 2>&1 || install_packages "Maven" maven
}

has_library() { ldconfig -p 2>/dev/null | grep -q "$1"; }

need_window() {
  [ "$(uname -s)" = Linux ] || return 0
  { has_library libgtk-3.so.0 && has_library libXtst.so.6; } ||
    install_packages "the window toolkit" libgtk-3-0 libxtst6
}

need_offscreen() {
  [ "$(uname -s)" = Linux ] || return 0
  has_library libpangoft2-1.0.so.0 || install_packages "the text layout library" libpangoft2-1.0-0
}
