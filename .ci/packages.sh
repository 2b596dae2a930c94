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

# Where the locale knows ASCII alone, Java could not name files with accents: it gets UTF-8, and what
# it prints stays ASCII (CHARSET).
plain_locale() {
  CHARSET=
  case "$(locale charmap 2>/dev/null || echo ASCII)" in
    *ASCII* | ANSI* | "" | 646) CHARSET=US-ASCII LC_ALL=C.UTF-8 && export LC_ALL ;;
  esac
}

# From the file beside it: to ask Java itself takes as long as to name a chord.
java_full_version() {
  said=
  release=$(readlink -f "$1" 2>/dev/null || echo "$1")
  release=${release%/bin/java}/release
  [ ! -r "$release" ] || said=$(sed -n 's/^JAVA_VERSION="\([^"]*\)".*/\1/p' "$release")
  [ -n "$said" ] || said=$("$1" -version 2>&1 | sed -n 's/.*version "\([^"]*\)".*/\1/p' | head -n 1)
  echo "$said"
}

java_version() {
  full=$(java_full_version "$1")
  echo "${full%%[.+-]*}"
}

need_java() {
  if [ -n "${JAVA_HOME:-}" ] && [ -x "$JAVA_HOME/bin/java" ]; then JAVA=$JAVA_HOME/bin/java; else JAVA=$(command -v java || true); fi
  version=0
  [ -z "$JAVA" ] || version=$(java_version "$JAVA")
  if [ "${version:-0}" -lt 17 ]; then
    install_packages "a Java development kit, 17 or newer," openjdk-17-jdk-headless
    unset JAVA_HOME
    JAVA=$(command -v java)
    version=$(java_version "$JAVA")
    if [ "${version:-0}" -lt 17 ]; then
      echo "vocalis: $JAVA is Java ${version:-unknown}; 17 or newer is needed. Set JAVA_HOME to a newer one." >&2
      exit 2
    fi
  fi
  export JAVA JAVA_VERSION=$version
}

need_maven() {
  command -v javac >/dev/null 2>&1 || [ -x "${JAVA_HOME:-/none}/bin/javac" ] || install_packages "the Java compiler" openjdk-17-jdk-headless
  command -v mvn >/dev/null 2>&1 || install_packages "Maven" maven
}

has_library() { # without the tool that tells, it is taken to be there
  PATH=$PATH:/sbin:/usr/sbin command -v ldconfig >/dev/null 2>&1 || return 0
  PATH=$PATH:/sbin:/usr/sbin ldconfig -p 2>/dev/null | grep -q "$1"
}

need_window() {
  [ "$(uname -s)" = Linux ] || return 0
  { has_library libgtk-3.so.0 && has_library libXtst.so.6 && has_library libXxf86vm.so.1 && has_library libGL.so.1; } ||
    install_packages "the window toolkit" libgtk-3-0 libxtst6 libxxf86vm1 libgl1
}

need_offscreen() {
  [ "$(uname -s)" = Linux ] || return 0
  has_library libpangoft2-1.0.so.0 || install_packages "the text layout library" libpangoft2-1.0-0
}

# The home folders of all JDKs here from 17, the oldest first.
all_jdks() {
  for home in "${JAVA_HOME:-/none}" /usr/lib/jvm/* /Library/Java/JavaVirtualMachines/*/Contents/Home; do
    [ -x "$home/bin/javac" ] || continue
    v=$(java_version "$home/bin/java")
    [ "${v:-0}" -lt 17 ] || echo "$v $(readlink -f "$home")"
  done | sort -n -u
}
