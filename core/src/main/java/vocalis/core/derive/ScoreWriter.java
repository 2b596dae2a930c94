package vocalis.core.derive;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.ChordNamer;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Origin;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/** The second stage of derivation: the notes that pattern and touches make of the voicings. */
public final class ScoreWriter {

    /** Names an event of a figure. */
    private record At(String figure, int event) {}

    /** A note before touches: where it lies. */
    private record Place(int string, int fret, int midi) {}

    private final Riff riff;
    private final List<Derived.Chord> chords;
    private final List<VoicingChoice.Voiced> voiced;
    private final List<Finding> findings;
    private final Fretboard board;
    private final MeterMap meters;
    private final Map<At, List<Touch>> touches = new HashMap<>();
    private final Set<Touch> placed = new HashSet<>();
    private final Map<Touch, Finding> unplaced = new HashMap<>();
    private final List<ScoreNote> notes = new ArrayList<>();

    /** Per string the last note, to be tied to. */
    private final ScoreNote[] last;

    ScoreWriter(
            Riff riff,
            List<Derived.Chord> chords,
            List<VoicingChoice.Voiced> voiced,
            List<Finding> findings) {
        this.riff = riff;
        this.chords = chords;
        this.voiced = voiced;
        this.findings = findings;
        this.board = riff.ground().board();
        this.meters = riff.meters();
        this.last = new ScoreNote[board.strings()];
        for (Touch t : riff.touches()) {
            At at = new At(t.anchor().figure(), t.anchor().event());
            touches.computeIfAbsent(at, k -> new ArrayList<>()).add(t);
        }
    }

    Score score() {
        List<Pass> passes = riff.passes();
        int chord = 0;
        for (Pass pass : passes) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                while (chord + 1 < chords.size() && chords.get(chord).end() <= at) {
                    chord++;
                }
                if (e.sounds() && !voiced.get(chord).silent()) {
                    write(pass, e, at, chord);
                }
            }
        }
        findUnplaced(passes);
        return new Score(board, riff.time(), riff.length(), notes, harmonies());
    }

    private List<Harmony> harmonies() {
        Key key = riff.ground().key();
        List<Harmony> all = new ArrayList<>();
        for (int i = 0; i < chords.size(); i++) {
            Derived.Chord c = chords.get(i);
            int bass = riff.treatments().get(i).bass().map(b -> b.pitchClass(key)).orElse(c.root());
            VoicingChoice.Voiced v = voiced.get(i);
            String symbol = v.silent() ? "" : nameOf(c, key);
            all.add(new Harmony(c.start(), c.length(), c.root(), bass, symbol, v.free()));
        }
        return all;
    }

    private static String nameOf(Derived.Chord c, Key key) {
        return ChordNamer.name(c.candidate().voicing(), Optional.of(key), c.around()).symbol();
    }

    private void write(Pass pass, Event event, long at, int chord) {
        List<Touch> here = new ArrayList<>();
        for (Touch t : touches.getOrDefault(new At(pass.figure().id(), event.id()), List.of())) {
            if (t.anchor().holds(pass.figure().id(), event.id(), pass.index())) {
                here.add(t);
            }
        }
        List<Place> places =
                event instanceof Stroke s
                        ? struck(chords.get(chord).candidate().voicing(), s.struck())
                        : line((LineNote) event, at, chord, here);
        if (places.isEmpty()) {
            return;
        }
        Origin origin = new Origin(chord, pass.figure().id(), event.id(), pass.index());
        boolean down = down(event, at);
        List<ScoreNote> made = new ArrayList<>();
        for (Place p : places) {
            made.add(note(event, at, chord, p, down, origin, voice(p, places, here)));
        }
        for (Touch t : here) {
            boolean meant = places.stream().anyMatch(p -> belongs(t, p, places));
            if (!meant) {
                miss(t, chord, at, Finding.Why.NO_VOICE);
            }
        }
        for (ScoreNote n : made) {
            notes.add(n);
            last[n.string()] = n;
        }
    }

    private boolean down(Event event, long at) {
        if (event instanceof Stroke s && s.direction() != Direction.ALTERNATE) {
            return s.direction() != Direction.UP;
        }
        boolean muted = event instanceof Stroke s && s.muted();
        long inBar = at - meters.start(meters.bar(at));
        return muted || inBar % Ticks.EIGHTH == 0;
    }

    private static List<Touch> voice(Place p, List<Place> places, List<Touch> here) {
        return here.stream().filter(t -> belongs(t, p, places)).toList();
    }

    private static boolean belongs(Touch t, Place p, List<Place> places) {
        if (t.anchor().voice() instanceof Anchor.Voice.OnString s) {
            return s.string() == p.string();
        }
        int rank = ((Anchor.Voice.FromTop) t.anchor().voice()).rank();
        long above =
                places.stream()
                        .filter(
                                q ->
                                        q.midi() > p.midi()
                                                || q.midi() == p.midi() && q.string() > p.string())
                        .count();
        return above == rank;
    }

    private ScoreNote note(
            Event event,
            long at,
            int chord,
            Place place,
            boolean down,
            Origin origin,
            List<Touch> mine) {
        int fret = moved(place, mine, chord, at);
        List<Technique> techniques = techniques(mine, fret, event.length(), chord, at);
        ScoreNote before = last[place.string()];
        boolean tied =
                event.tied() && before != null && before.end() == at && before.endFret() == fret;
        boolean rings = event instanceof Stroke;
        Dynamics dynamics =
                event instanceof Stroke s ? s.dynamics() : ((LineNote) event).dynamics();
        for (Touch t : mine) {
            if (t instanceof Touch.Level l) {
                dynamics = l.dynamics();
                placed.add(t);
            }
        }
        Manner manner = event instanceof Stroke s ? s.manner() : ((LineNote) event).manner();
        return new ScoreNote(
                place.string(),
                fret,
                at,
                event.length(),
                tied,
                rings || manner == Manner.LET_RING,
                dynamics,
                manner,
                down,
                event instanceof Stroke s && s.direction() == Direction.PLUCKED,
                techniques,
                Optional.of(origin));
    }

    /** The fret as touches that change a note have it. */
    private int moved(Place place, List<Touch> mine, int chord, long at) {
        int fret = place.fret();
        for (Touch t : mine) {
            int to =
                    t instanceof Touch.Pinned p
                            ? p.fret()
                            : t instanceof Touch.Moved m ? fret + m.frets() : fret;
            boolean changes = t instanceof Touch.Pinned || t instanceof Touch.Moved;
            if (changes && to >= 0 && to <= board.frets()) {
                fret = to;
                placed.add(t);
            } else if (changes) {
                miss(t, chord, at, Finding.Why.OFF_THE_NECK);
            }
        }
        return fret;
    }

    /**
     * What is done to a note, in time order, each from the fret reached before it: a slide may lie
     * between two hammer-ons of one chain. What would come after the note's end is not played.
     */
    private List<Technique> techniques(
            List<Touch> mine, int from, long length, int chord, long at) {
        List<TouchPart> parts = new ArrayList<>();
        mine.forEach(t -> parts.addAll(TouchParts.parts(t)));
        parts.sort(Comparator.comparingLong(p -> p.technique().after()));
        List<Technique> out = new ArrayList<>();
        Set<Touch> missed = new HashSet<>();
        int fret = from;
        for (TouchPart p : parts) {
            int to = fret + p.frets();
            boolean off = p.frets() != 0 && (to < 0 || to > board.frets());
            boolean late = p.technique().after() >= length;
            if (off || late || missed.contains(p.touch())) {
                missed.add(p.touch());
                miss(p.touch(), chord, at, off ? Finding.Why.OFF_THE_NECK : Finding.Why.TOO_LATE);
                continue;
            }
            fret = to;
            out.add(p.frets() == 0 ? p.technique() : p.reaching(to));
            placed.add(p.touch());
        }
        return out;
    }

    private List<Place> struck(Voicing voicing, Struck which) {
        List<Place> places = new ArrayList<>();
        if (which instanceof Struck.Strings strings) {
            for (int s = 0; s < board.strings(); s++) {
                if (strings.strikes(s)) {
                    int fret = Math.max(0, voicing.shape().fret(s));
                    places.add(new Place(s, fret, board.midi(s, fret)));
                }
            }
            return places;
        }
        List<Sounding> byPitch = new ArrayList<>(voicing.soundings());
        byPitch.sort(Comparator.comparingInt(Sounding::midi));
        for (int i : which.of(byPitch.size())) {
            Sounding s = byPitch.get(i);
            places.add(new Place(s.string(), s.fret(), s.midi()));
        }
        return places;
    }

    /** How far touches lead a note down and up the neck, in frets. */
    private static int[] way(List<Touch> touches) {
        int at = 0;
        for (Touch t : touches) {
            at += t instanceof Touch.Moved m ? m.frets() : 0;
        }
        int low = Math.min(0, at);
        int high = Math.max(0, at);
        List<TouchPart> parts = new ArrayList<>();
        touches.forEach(t -> parts.addAll(TouchParts.parts(t)));
        parts.sort(Comparator.comparingLong(p -> p.technique().after()));
        for (TouchPart p : parts) {
            at += p.frets();
            low = Math.min(low, at);
            high = Math.max(high, at);
        }
        return new int[] {low, high};
    }

    /**
     * Where a note of a line lies: pinned, or its pitch where the hand is nearest and what is done
     * to it stays on the neck.
     */
    private List<Place> line(LineNote note, long at, int chord, List<Touch> touches) {
        if (note.pitch() instanceof LinePitch.Place p) {
            boolean there = p.string() < board.strings() && p.fret() <= board.frets();
            if (!there) {
                findings.add(new Finding.LineOffTheNeck(chord, at));
                return List.of();
            }
            return List.of(new Place(p.string(), p.fret(), board.midi(p.string(), p.fret())));
        }
        int midi = Lines.midi(riff.ground(), note.pitch(), chords.get(chord).root());
        int hand = chords.get(chord).candidate().position();
        int[] led = way(touches);
        Place best = null;
        int least = Integer.MAX_VALUE;
        for (int s = 0; s < board.strings(); s++) {
            int fret = midi - board.midi(s, 0);
            if (fret >= 0 && fret <= board.frets()) {
                int way = fret == 0 ? 1 : Math.abs(fret - (hand + 1));
                boolean stays = fret + led[0] >= 0 && fret + led[1] <= board.frets();
                way += stays ? 0 : 100;
                if (way < least) {
                    least = way;
                    best = new Place(s, fret, midi);
                }
            }
        }
        if (best == null) {
            findings.add(new Finding.LineOffTheNeck(chord, at));
            return List.of();
        }
        return List.of(best);
    }

    private void miss(Touch touch, int chord, long at, Finding.Why why) {
        unplaced.putIfAbsent(touch, new Finding.TouchUnplaced(chord, at, touch, why));
    }

    /** Whether a touch has its event, only that so much of the figure is not played. */
    private boolean waits(Anchor a, List<Pass> passes) {
        boolean there =
                a.pass().isEmpty()
                        ? passes.stream().anyMatch(p -> p.figure().id().equals(a.figure()))
                        : a.pass().get() < passes.size()
                                && passes.get(a.pass().get()).figure().id().equals(a.figure());
        return there
                && riff.pattern()
                        .find(a.figure())
                        .flatMap(f -> f.event(a.event()))
                        .filter(Event::sounds)
                        .isPresent();
    }

    /** Touches that were played nowhere, or not everywhere that they should, once each. */
    private void findUnplaced(List<Pass> passes) {
        for (Touch t : riff.touches()) {
            Finding missed = unplaced.get(t);
            if (missed != null) {
                findings.add(missed);
            } else if (!placed.contains(t) && !waits(t.anchor(), passes)) {
                long at =
                        t.anchor()
                                .pass()
                                .filter(p -> p < passes.size())
                                .map(p -> passes.get(p).from())
                                .orElse(0L);
                findings.add(
                        new Finding.TouchUnplaced(riff.chordAt(at), at, t, Finding.Why.NO_EVENT));
            }
        }
        for (EventOverride o : riff.pattern().overrides()) {
            boolean lies =
                    o.pass() < passes.size()
                            && passes.get(o.pass()).figure().id().equals(o.figure());
            if (!lies) {
                findings.add(new Finding.OverrideUnplaced(chords.size() - 1, o));
            }
        }
    }
}
