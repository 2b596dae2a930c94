package vocalis.formats.midi;

import java.nio.charset.StandardCharsets;
import vocalis.formats.FormatException;

/**
 * Walks through the bytes of a Standard MIDI File and refuses what states lengths that it does not
 * have, so that nobody sets aside memory for them.
 */
final class MidiBounds {

    private static final int MOST_TRACKS = 256;
    private static final int MOST_EVENTS = 2_000_000;

    private final byte[] bytes;
    private int at;
    private int events;

    private MidiBounds(byte[] bytes) {
        this.bytes = bytes;
    }

    static void check(byte[] bytes) throws FormatException {
        new MidiBounds(bytes).walk();
    }

    private void walk() throws FormatException {
        if (bytes.length < 14 || !name().equals("MThd")) {
            throw new FormatException("this is no Standard MIDI File: it does not begin with MThd");
        }
        at = 4;
        long header = number(4);
        int type = (int) number(2);
        int tracks = (int) number(2);
        int division = (int) number(2);
        if (type > 1) {
            throw new FormatException(
                    "this MIDI file holds patterns for a sequencer (type 2); export it as type 1");
        }
        if (division == 0) {
            throw new FormatException(
                    "this MIDI file is damaged: it states no ticks to a quarter note; export it again");
        }
        if ((division & 0x8000) != 0) {
            throw new FormatException(
                    "this MIDI file counts time in seconds (SMPTE), not in beats; export it with ticks"
                            + " per quarter note");
        }
        if (tracks > MOST_TRACKS) {
            throw new FormatException("this MIDI file has more than " + MOST_TRACKS + " tracks");
        }
        at = 8;
        skip(header);
        tracks(tracks);
    }

    private void tracks(int tracks) throws FormatException {
        int found = 0;
        while (at + 8 <= bytes.length) {
            boolean track = name().equals("MTrk");
            at += 4;
            long length = number(4);
            if (length > bytes.length - at) {
                throw wrong("a track states more bytes than the file has");
            }
            int end = at + (int) length;
            if (track) {
                found++;
                track(end);
            }
            at = end;
        }
        if (found == 0 || found < tracks && at < bytes.length) {
            throw wrong(
                    "it ends before track " + (found + 1) + " of " + tracks + "; export it again");
        }
    }

    private String name() {
        return new String(bytes, at, 4, StandardCharsets.ISO_8859_1);
    }

    private long number(int size) throws FormatException {
        long n = 0;
        for (int i = 0; i < size; i++) {
            n = n << 8 | next(bytes.length);
        }
        return n;
    }

    private int next(int end) throws FormatException {
        if (at >= end) {
            throw wrong("it ends in the middle of an event");
        }
        return bytes[at++] & 255;
    }

    private void skip(long n) throws FormatException {
        if (n > bytes.length - at) {
            throw wrong("it states more bytes than it has");
        }
        at += (int) n;
    }

    private long variable(int end) throws FormatException {
        long n = 0;
        for (int i = 0; i < 4; i++) {
            int b = next(end);
            n = n << 7 | b & 127;
            if (b < 128) {
                return n;
            }
        }
        throw wrong("a length has more than four bytes");
    }

    private void track(int end) throws FormatException {
        int status = 0;
        while (at < end) {
            variable(end);
            int b = next(end);
            if (b >= 128) {
                status = b;
            } else {
                at--;
            }
            if (++events > MOST_EVENTS) {
                throw wrong("it has more than " + MOST_EVENTS + " events");
            }
            if (status < 128) {
                throw wrong("an event has no status");
            } else if (status == 0xFF || status == 0xF0 || status == 0xF7) {
                if (status == 0xFF) {
                    next(end);
                }
                long length = variable(end);
                if (length > end - at) {
                    throw wrong("an event states more bytes than its track has");
                }
                at += (int) length;
                status = 0;
            } else {
                int data = status >= 0xC0 && status < 0xE0 ? 1 : 2;
                for (int i = 0; i < data; i++) {
                    next(end);
                }
            }
        }
    }

    private FormatException wrong(String what) {
        return new FormatException("this MIDI file is damaged at byte " + at + ": " + what);
    }
}
