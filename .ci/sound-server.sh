# Sourced by scripts that play through a real sound server of their own, whose sink goes nowhere.
# Wants .ci/packages.sh; works in $D, a folder of the caller's.

need_sound_server() {
  command -v pulseaudio >/dev/null 2>&1 && command -v parec >/dev/null 2>&1 && [ -e /usr/share/alsa/alsa.conf.d/pulse.conf ] ||
    install_packages "a sound server to play through" pulseaudio pulseaudio-utils libasound2-plugins
}

start_sound_server() { # sets $server, its process
  rm -f "$D/native"
  HOME=$D XDG_RUNTIME_DIR=$D PULSE_RUNTIME_PATH=$D PULSE_STATE_PATH=$D PULSE_CONFIG_PATH=$D \
    pulseaudio -n --daemonize=no --use-pid-file=no --exit-idle-time=-1 --disable-shm=yes --realtime=no --high-priority=no \
    -L "module-native-protocol-unix auth-anonymous=1 socket=$D/native" \
    -L "module-null-sink norewinds=1 sink_name=out rate=48000 channels=2 format=s16le" >>"$D/log" 2>&1 &
  server=$!
  export PULSE_SERVER=unix:$D/native PULSE_RUNTIME_PATH=$D PULSE_COOKIE=$D/cookie
  printf '</usr/share/alsa/alsa.conf>\npcm.!default { type pulse }\nctl.!default { type pulse }\n' >"$D/alsa.conf"
  for _ in $(seq 50); do [ -S "$D/native" ] && break; sleep 0.1; done
}
