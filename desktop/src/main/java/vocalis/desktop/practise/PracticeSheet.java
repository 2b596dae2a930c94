package vocalis.desktop.practise;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import vocalis.core.practice.Entry;
import vocalis.desktop.sheets.PickSheet;
import vocalis.desktop.view.Sheets;

/** What has been practised of the piece. */
public final class PracticeSheet {

    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);

    private PracticeSheet() {}

    /** Opens it; Enter does nothing, for what was played was played. */
    public static void show(PracticeModel model, Sheets host) {
        List<Entry> all = new ArrayList<>(model.entries());
        Collections.reverse(all);
        List<PickSheet.Row> rows = new ArrayList<>();
        for (Entry e : all) {
            String what =
                    e.what()
                            + (e.best() > 0 ? ", clean at " + e.best() : ", no clean pass yet")
                            + (e.goal() > 0 ? " of " + e.goal() : "")
                            + "; "
                            + e.passes()
                            + (e.passes() == 1 ? " pass" : " passes")
                            + (e.failed() > 0 ? ", " + e.failed() + " failed" : "")
                            + ", "
                            + Math.max(1, Math.round(e.seconds() / 60))
                            + " min";
            rows.add(
                    new PickSheet.Row(
                            DAY.format(Instant.ofEpochMilli(e.at()).atZone(ZoneId.systemDefault())),
                            what,
                            () -> {},
                            () -> {},
                            null));
        }
        PickSheet.show(
                host,
                "Practised",
                "The newest first. ./vocalis export --practice -o log.csv writes all of it as a table.",
                "Nothing of this piece is in the log yet: it keeps what you play through once at least.",
                rows,
                () -> {});
    }
}
