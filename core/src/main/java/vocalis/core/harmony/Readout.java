package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/**
 * What a voicing is, in the figures and words that a player asks for.
 *
 * @param name best exact name
 * @param otherNames further exact names, best first
 * @param voices the sounded notes from the lowest up
 * @param different number of different notes (pitch classes)
 * @param steps intervals between neighbouring voices in semitones, from the lowest up
 * @param bass the lowest note
 * @param heard the heard root with its reason
 * @param root pitch class that degrees are counted from: the name's, which is the heard root or the
 *     one that the voicing is built for
 * @param outside notes outside the scale, spelled, without doublings
 */
public record Readout(
        ChordName name,
        List<ChordName> otherNames,
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

    /** Reads a voicing in a key. */
    public static Readout of(Voicing voicing, Key key) {
        HeardRoot heard = HeardRoot.of(voicing, Optional.of(key));
        int wanted = heard.mayBe(voicing.root()) ? voicing.root() : heard.root();
        List<ChordName> names = names(voicing, key, wanted);
        int named = names.get(0).root().pitchClass();
        int root = heard.mayBe(named) || named == voicing.root() ? named : wanted;
        List<Voice> voices =
                voicing.soundings().stream()
                        .sorted(Comparator.comparingInt(Sounding::midi))
                        .map(s -> voice(s, voicing, root, key))
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
                voices,
                voicing.pitchClasses().size(),
                steps,
                voices.get(0).note(),
                heard,
                root,
                outside);
    }

    /**
     * The name that a voicing goes by in a key: the first exact one; or the one from the root it is
     * built for, where that is simpler, or may be heard and takes no more than one modifier more.
     */
    public static ChordName nameOf(Voicing voicing, Key key) {
        HeardRoot heard = HeardRoot.of(voicing, Optional.of(key));
        int wanted = heard.mayBe(voicing.root()) ? voicing.root() : heard.root();
        return names(voicing, key, wanted).get(0);
    }

    private static List<ChordName> names(Voicing voicing, Key key, int wanted) {
        List<ChordName> names = new ArrayList<>(ChordNamer.names(voicing, Optional.of(key)));
        int first = names.get(0).modifiers();
        Optional<ChordName> own = simplest(names, voicing.root());
        Optional<ChordName> chosen =
                own.filter(n -> n.modifiers() < first).isPresent()
                        ? own
                        : simplest(names, wanted).filter(n -> n.modifiers() <= first + 1);
        chosen.ifPresent(
                n -> {
                    names.remove(n);
                    names.add(0, n);
                });
        return names;
    }

    private static Optional<ChordName> simplest(List<ChordName> names, int root) {
        return names.stream()
                .filter(n -> n.root().pitchClass() == root)
                .min(Comparator.comparingInt(ChordName::modifiers));
    }

    private static Voice voice(Sounding s, Voicing voicing, int root, Key key) {
        Degree ofChord = degree(Math.floorMod(s.midi() - root, 12), voicing, root);
        boolean inScale = key.contains(s.pitchClass());
        Note note = inScale ? key.note(s.midi()) : key.spell(root).above(ofChord).at(s.midi());
        return new Voice(s, note, ofChord, key.degree(s.pitchClass()), inScale);
    }

    /** As a chord says it: ♯4 over a fifth, ♯5 where a major third has no fifth beside it. */
    private static Degree degree(int semitones, Voicing voicing, int root) {
        boolean fifth = voicing.pitchClasses().contains(Math.floorMod(root + 7, 12));
        boolean third = voicing.pitchClasses().contains(Math.floorMod(root + 4, 12));
        if (semitones == 6 && fifth) {
            return new Degree(4, 1);
        }
        return semitones == 8 && third && !fifth ? new Degree(5, 1) : Degree.above(semitones);
    }

    /** The intervals in words, such as {@code fifth, fourth}. */
    public String stepsInWords() {
        return String.join(", ", steps.stream().map(Degree::intervalName).toList());
    }
}
