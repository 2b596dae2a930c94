package vocalis.core.names;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * What a voicing is, in the figures and words that a player asks for.
 *
 * @param name best exact name
 * @param otherNames further exact names that a player may say, best first
 * @param fingered what the fingering is called without the capo, where there is one
 * @param voices the sounded notes from the lowest up
 * @param different number of different notes (pitch classes)
 * @param steps intervals between neighbouring voices in semitones, from the lowest up
 * @param bass the lowest note
 * @param heard the heard root with its reason
 * @param root pitch class that degrees are counted from: the name's
 * @param outside notes outside the scale, spelled, without doublings
 */
public record Readout(
        ChordName name,
        List<ChordName> otherNames,
        Optional<ChordName> fingered,
        List<Voice> voices,
        int different,
        List<Integer> steps,
        Note bass,
        HeardRoot heard,
        int root,
        List<Note> outside) {

    /**
     * One voice.
     *
     * @param source string, fret and MIDI number
     * @param note spelled
     * @param ofChord degree above {@link Readout#root}
     * @param ofKey degree above the tonic
     * @param inScale whether the scale has it
     */
    public record Voice(
            Sounding source, Note note, Degree ofChord, Degree ofKey, boolean inScale) {}

    public Readout {
        otherNames = List.copyOf(otherNames);
        voices = List.copyOf(voices);
        steps = List.copyOf(steps);
        outside = List.copyOf(outside);
    }

    /** Reads a voicing by itself in a key. */
    public static Readout of(Voicing voicing, Key key) {
        return of(voicing, key, Around.root(voicing.root()));
    }

    /** Reads a voicing in a key, where it stands in a riff. */
    public static Readout of(Voicing voicing, Key key, Around around) {
        HeardRoot heard = HeardRoot.of(voicing, Optional.of(key));
        List<ChordName> names = ChordNamer.said(voicing, Optional.of(key), around);
        ChordSymbol symbol = ChordSymbol.parse(names.get(0).symbol());
        List<Voice> voices =
                voicing.soundings().stream()
                        .sorted(Comparator.comparingInt(Sounding::midi))
                        .map(s -> voice(s, symbol, key))
                        .toList();
        List<Integer> steps = new ArrayList<>();
        for (int i = 1; i < voices.size(); i++) {
            steps.add(voices.get(i).source().midi() - voices.get(i - 1).source().midi());
        }
        List<Note> outside = new ArrayList<>();
        for (Voice v : voices) {
            if (!v.inScale()
                    && outside.stream().noneMatch(n -> n.spelling().equals(v.note().spelling()))) {
                outside.add(v.note());
            }
        }
        return new Readout(
                names.get(0),
                names.subList(1, names.size()),
                ChordNamer.ofFingering(voicing, around),
                voices,
                voicing.pitchClasses().size(),
                steps,
                voices.get(0).note(),
                heard,
                symbol.root().pitchClass(),
                outside);
    }

    /** The name that a voicing goes by in a key, by itself and built for its root. */
    public static ChordName nameOf(Voicing voicing, Key key) {
        return ChordNamer.name(voicing, Optional.of(key), Around.root(voicing.root()));
    }

    /** Degree and note as the name says them; a double accidental gives way to the key's note. */
    private static Voice voice(Sounding s, ChordSymbol symbol, Key key) {
        int above = s.midi() - symbol.root().pitchClass();
        Degree ofChord = symbol.degree(above).orElseGet(() -> Degree.above(above));
        Spelling said = symbol.spelled(s.pitchClass()).orElseGet(() -> key.spell(s.pitchClass()));
        Spelling spelled = Math.abs(said.alter()) < 2 ? said : key.spell(s.pitchClass());
        return new Voice(
                s,
                Note.at(spelled, s.midi()),
                ofChord,
                key.degree(s.pitchClass()),
                key.contains(s.pitchClass()));
    }

    /** The intervals in words, such as {@code fifth, fourth}. */
    public String stepsInWords() {
        return String.join(", ", steps.stream().map(Degree::intervalName).toList());
    }
}
