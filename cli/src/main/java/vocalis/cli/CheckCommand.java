package vocalis.cli;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.Standard;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Song;
import vocalis.core.arrange.SongFinding;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.playing.Levels;
import vocalis.workbench.playing.SectionLevels;
import vocalis.workbench.playing.Songs;
import vocalis.workbench.words.ArrangeWords;
import vocalis.workbench.words.CheckWords;

/** Looks through a riff for what a player would stumble over. */
@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description =
                "Look through a piece for what its players would stumble over: hands, changes, seam,"
                        + " landing, strings that nothing mutes; clashes between guitars and"
                        + " bass, registers, sections without a lift. Exit 1 when something is"
                        + " found.")
final class CheckCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "FILE",
            description = "The riff, a .vocalis.json file; - is standard input.")
    private Path file;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    private final ObjectMapper mapper = new ObjectMapper();
    private PrintWriter out;

    @Override
    public Integer call() throws Exception {
        Catalogue catalogue = new Catalogue();
        SettledShapes resting = new SettledShapes(catalogue, hand.hand());
        Piece piece = resting.kept(Standard.read(file).piece());
        Song song = new Songs(catalogue).of(piece, hand.hand());
        out = spec.commandLine().getOut();
        Set<Riff> seen = new HashSet<>();
        int found = 0;
        boolean arranged = song.passages().size() > 1;
        for (Song.Passage p : song.passages()) {
            if (seen.add(p.turn().riff())) {
                String section = piece.sections().get(p.turn().section()).name();
                found += cautions(p.first(), arranged ? section : "");
            }
        }
        for (SongFinding f : SongFinding.of(song)) {
            say(f.getClass().getSimpleName(), song, f);
            found++;
        }
        if (!json.on()) {
            if (arranged) {
                lift(song);
            } else {
                out.println(CheckWords.landing(piece.riff()));
            }
            out.println(
                    found == 0
                            ? "nothing to stumble over"
                            : found == 1 ? "1 thing found" : found + " things found");
        }
        out.flush();
        return found == 0 ? 0 : 1;
    }

    /** What a riff is found to have, where it is played first. */
    private int cautions(Derived derived, String section) throws JsonProcessingException {
        Riff riff = derived.riff();
        List<Caution> all = Check.of(derived);
        for (Caution c : all) {
            String words = CheckWords.of(c, riff);
            if (json.on()) {
                var place = riff.meters().place(c.at());
                ObjectNode n = mapper.createObjectNode();
                n.put("kind", c.getClass().getSimpleName());
                if (!section.isEmpty()) {
                    n.put("section", section);
                }
                n.put("bar", place.bar()).put("beat", place.beat());
                n.put("chord", c.chord() + 1).put("words", words);
                out.println(mapper.writeValueAsString(n));
            } else {
                String where = section.isEmpty() ? "" : section + ", ";
                out.println(where + CheckWords.place(c, riff) + ": " + words);
            }
        }
        if (!section.isEmpty() && !json.on()) {
            out.println(section + ": " + CheckWords.landing(riff));
        }
        // That a loop ends on its first root is told, but nobody stumbles over it.
        return (int) all.stream().filter(c -> !(c instanceof Caution.StillSeam)).count();
    }

    private void say(String kind, Song song, SongFinding f) throws JsonProcessingException {
        String section = song.piece().sections().get(song.sectionAt(f.at())).name();
        String words = ArrangeWords.of(f, song);
        if (json.on()) {
            var place = song.score().time().meters().place(f.at());
            ObjectNode n = mapper.createObjectNode();
            n.put("kind", kind).put("section", section);
            n.put("bar", place.bar()).put("beat", place.beat()).put("words", words);
            out.println(mapper.writeValueAsString(n));
        } else {
            String where = section + ", " + ArrangeWords.place(song, f.at());
            out.println(where + ": " + words);
        }
    }

    /** How each section stands against the one before, measured in its sound. */
    private void lift(Song song) {
        List<Lift> lifts = Lift.of(song);
        List<Double> db = SectionLevels.of(song, new Levels(), () -> false);
        for (int i = 1; i < lifts.size(); i++) {
            String words =
                    ArrangeWords.lift(lifts.get(i - 1), lifts.get(i), db.get(i - 1), db.get(i));
            out.println(song.piece().sections().get(i).name() + " against before: " + words);
        }
    }
}
