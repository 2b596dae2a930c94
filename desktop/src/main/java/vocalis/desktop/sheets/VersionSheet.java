package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Progression;
import vocalis.core.piece.Version;
import vocalis.core.revoice.Difference;
import vocalis.core.theory.Key;
import vocalis.desktop.pictures.RiffPicture;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.RevoiceWords;

/** A version beside the riff as it stands: both pictures above one another, and what differs. */
final class VersionSheet {

    private static final double WIDTH = 1080;
    private static final double BAND = 170;
    private static final int MOST_SAID = 8;

    private final Session session;
    private final Hearing hearing;
    private final Version version;
    private boolean held;

    private VersionSheet(Session session, Hearing hearing, Version version) {
        this.session = session;
        this.hearing = hearing;
        this.version = version;
    }

    static void show(Session session, Hearing hearing, Sheets host, Version version) {
        new VersionSheet(session, hearing, version).open(host);
    }

    private void open(Sheets host) {
        RiffPicture now = picture("compare-now");
        RiffPicture then = picture("compare-then");
        Label differs = Choices.text("…");
        differs.setId("compare-differs");
        differs.setWrapText(true);
        Button take = new Button("Work on " + version.name() + "  ⏎");
        take.getStyleClass().add("use-button");
        take.setId("compare-take");
        VBox body =
                new VBox(
                        8,
                        Choices.caption(
                                "Hold H to hear the version; Space plays the riff as it stands."),
                        Choices.head("As it stands"),
                        now,
                        Choices.head(
                                version.name()
                                        + (version.note().isEmpty() ? "" : " · " + version.note())),
                        then,
                        differs,
                        new HBox(take));
        body.getStyleClass().add("help");
        Sheets.Sheet sheet = host.open("Compare with " + version.name(), body, WIDTH);
        take.setOnAction(
                e -> {
                    sheet.close();
                    session.apply(Edits.takeVersion(version.id()));
                    session.say("Took " + version.name() + "; undo goes back.");
                });
        listen(body, sheet, take);
        draw(now, then, differs);
    }

    private void draw(RiffPicture now, RiffPicture then, Label differs) {
        Derived before = session.derived();
        Background.Channel<Derived> derived =
                session.channel(
                        "deriving a version",
                        d -> {
                            int[] range = RiffPicture.range(before, d);
                            now.show(before, range);
                            then.show(d, range);
                            differs.setText(said(before, d));
                        });
        derived.request(() -> Deriver.once(version.riff(), session.hand(), session.catalogue()));
    }

    private void listen(VBox body, Sheets.Sheet sheet, Button take) {
        body.addEventHandler(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        if (!held) {
                            held = true;
                            hearing.preview(version.riff());
                        }
                        e.consume();
                    }
                });
        body.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        letGo();
                    }
                });
        sheet.onClosed(this::letGo);
        sheet.focus(take);
    }

    private static RiffPicture picture(String id) {
        RiffPicture p = new RiffPicture();
        p.setId(id);
        p.setPrefHeight(BAND);
        p.setMinHeight(BAND);
        return p;
    }

    private void letGo() {
        if (held) {
            held = false;
            hearing.endPreview();
        }
    }

    /** What differs, chord by chord where both have the same roots. */
    private static String said(Derived now, Derived then) {
        List<String> all = new ArrayList<>();
        if (!now.riff().ground().equals(then.riff().ground())) {
            all.add("another ground");
        }
        if (!now.riff().time().equals(then.riff().time())) {
            all.add("another time");
        }
        if (!now.riff().pattern().equals(then.riff().pattern())) {
            all.add("another pattern");
        }
        if (!now.riff().touches().equals(then.riff().touches())) {
            all.add("other touches");
        }
        if (!now.riff().roots().equals(then.riff().roots())) {
            all.add("other roots: " + Progression.of(then.riff()));
        } else {
            chords(now, then, all);
        }
        return all.isEmpty()
                ? "Nothing differs."
                : "In the version: " + String.join("; ", all) + ".";
    }

    /** Which chords are others. */
    private static void chords(Derived now, Derived then, List<String> all) {
        Key key = then.riff().ground().key();
        for (int i = 0; i < then.chords().size() && all.size() < MOST_SAID; i++) {
            String change = RevoiceWords.of(Difference.at(now, then, i), key);
            boolean same =
                    now.chords()
                            .get(i)
                            .candidate()
                            .voicing()
                            .equals(then.chords().get(i).candidate().voicing());
            if (!same) {
                all.add(
                        "chord "
                                + (i + 1)
                                + " becomes "
                                + then.score().harmonies().get(i).symbol()
                                + " ("
                                + change
                                + ")");
            }
        }
    }
}
