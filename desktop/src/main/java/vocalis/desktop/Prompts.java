package vocalis.desktop;

import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import vocalis.workbench.PieceFiles;

/** Asks for files; tests answer without the system's dialogs. */
interface Prompts {

    Optional<Path> fileToOpen(Window owner);

    Optional<Path> fileToSave(Window owner, String suggestedName);

    /** A file of another program. */
    Optional<Path> fileToImport(Window owner);

    /** Where an export goes. */
    Optional<Path> fileToExport(Window owner, String suggestedName, String what);

    /** The system's own dialogs. */
    static Prompts system() {
        return new Prompts() {
            @Override
            public Optional<Path> fileToOpen(Window owner) {
                return Optional.ofNullable(chooser("Open riff").showOpenDialog(owner))
                        .map(java.io.File::toPath);
            }

            @Override
            public Optional<Path> fileToSave(Window owner, String suggestedName) {
                FileChooser chooser = chooser("Save riff");
                chooser.setInitialFileName(suggestedName);
                return Optional.ofNullable(chooser.showSaveDialog(owner))
                        .map(java.io.File::toPath)
                        .map(PieceFiles::withEnding);
            }

            @Override
            public Optional<Path> fileToImport(Window owner) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Import");
                chooser.getExtensionFilters()
                        .add(
                                new FileChooser.ExtensionFilter(
                                        "MusicXML, MIDI, text tab",
                                        "*.musicxml",
                                        "*.mxl",
                                        "*.xml",
                                        "*.mid",
                                        "*.midi",
                                        "*.txt",
                                        "*.tab"));
                return Optional.ofNullable(chooser.showOpenDialog(owner)).map(java.io.File::toPath);
            }

            @Override
            public Optional<Path> fileToExport(Window owner, String suggestedName, String what) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Export: " + what);
                chooser.setInitialFileName(suggestedName);
                return Optional.ofNullable(chooser.showSaveDialog(owner)).map(java.io.File::toPath);
            }

            private FileChooser chooser(String title) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(title);
                chooser.getExtensionFilters()
                        .add(
                                new FileChooser.ExtensionFilter(
                                        "Vocalis riffs", "*" + PieceFiles.ENDING));
                return chooser;
            }
        };
    }
}
