package vocalis.desktop;

import vocalis.core.piece.Texts;
import vocalis.desktop.desks.ExchangeDesk;
import vocalis.desktop.desks.FileDesk;
import vocalis.desktop.desks.Keeping;
import vocalis.desktop.frame.Magnified;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.session.Session;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.sheets.HelpSheet;
import vocalis.desktop.sheets.InstrumentSheet;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;

/** The commands of the window: files, the logbook, its look, help. */
record ShellCommands(
        Look look,
        Commands commands,
        Session session,
        Sheets host,
        FileDesk desk,
        ExchangeDesk exchange,
        Keeping keeping,
        Runnable menus) {

    void add() {
        commands.add("save", "save").keys("ctrl S").inSheets().does(desk::save);
        commands.add("save-copy", "save a copy in a file elsewhere")
                .keys("ctrl shift S")
                .does(desk::saveCopy);
        commands.add("open", "open a file").keys("ctrl O").does(desk::open);
        commands.add("new", "new riff").keys("ctrl N").does(desk::newRiff);
        commands.add("export", "export: tab, MusicXML, MIDI, sound, a sheet to print")
                .keys("ctrl E")
                .does(exchange::export);
        commands.add("import", "import: MusicXML, MIDI, text tab, a recording")
                .keys("ctrl I")
                .does(exchange::importFile);
        commands.add("logbook", "Logbook: all riffs and ideas").keys("F9").does(keeping::logbook);
        commands.add("catch", "catch this as an idea in the logbook")
                .keys("ctrl J")
                .inSheets()
                .does(keeping::catchIdea);
        commands.add("copy-tab", "copy the riff as tab")
                .keys("ctrl shift C")
                .does(exchange::copyTab);
        commands.add("paste-tab", "unpick the tab on the clipboard")
                .keys("ctrl shift V")
                .does(exchange::pasteTab);
        addOfWindow();
    }

    private void addOfWindow() {
        commands.add("rename", "rename the riff").keys("F2").does(this::rename);
        commands.add("theme", "dark or light").keys("ctrl T").inSheets().does(look::switchTheme);
        commands.add("text-larger", "larger text, tab and neck")
                .keys("ctrl shift PLUS", "ctrl shift EQUALS")
                .inSheets()
                .does(() -> textSize(Magnified.STEP));
        commands.add("text-smaller", "smaller text, tab and neck")
                .keys("ctrl shift MINUS")
                .inSheets()
                .does(() -> textSize(-Magnified.STEP));
        commands.add("instrument", "instrument and hand: tuning by notes, strings, frets")
                .does(() -> InstrumentSheet.show(session, host));
        commands.add("menus", "the menus").keys("F10").does(menus);
        commands.add("help", "help: the work, all keys, words")
                .keys("F1")
                .does(() -> HelpSheet.show(commands, host));
    }

    private void textSize(int by) {
        look.size(look.size() + by);
        session.say("Text at " + Math.round(look.size()) + " per cent.");
    }

    private void rename() {
        Ask.line(
                host,
                "Working title of the riff",
                session.workspace().content().title(),
                Texts.LONGEST_TITLE,
                t -> session.apply(Edits.rename(t)));
    }
}
