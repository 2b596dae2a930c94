package vocalis.desktop.desks;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.FileChooser;
import javafx.stage.Window;
import vocalis.workbench.library.PieceFiles;

/** Asks for files; tests answer without the system's dialogs. */
public interface Prompts {

    /** A riff's file, looked for in a folder first. */
    Optional<Path> fileToOpen(Window owner, Path folder);

    /** Where a riff is saved, in a folder unless the player goes elsewhere; as it was named. */
    Optional<Path> fileToSave(Window owner, String suggestedName, Path folder);

    /** A file of another program. */
    Optional<Path> fileToImport(Window owner);

    /** Where an export goes. */
    Optional<Path> fileToExport(Window owner, String suggestedName, String what);

    /** The system's own dialogs. */
    static Prompts system() {
        return new Prompts() {
            @Override
            public Optional<Path> fileToOpen(Window owner, Path folder) {
                FileChooser chooser = chooser("Open riff", folder);
                chooser.getExtensionFilters()
                        .addAll(
                                new FileChooser.ExtensionFilter("All files", "*"),
                                new FileChooser.ExtensionFilter(
                                        "Vocalis riffs", "*" + PieceFiles.ENDING, "*.json"));
                return Optional.ofNullable(chooser.showOpenDialog(owner)).map(java.io.File::toPath);
            }

            @Override
            public Optional<Path> fileToSave(Window owner, String suggestedName, Path folder) {
                FileChooser chooser = chooser("Save riff", folder);
                chooser.getExtensionFilters()
                        .add(
                                new FileChooser.ExtensionFilter(
                                        "Vocalis riffs", "*" + PieceFiles.ENDING));
                chooser.setInitialFileName(suggestedName);
                return Optional.ofNullable(chooser.showSaveDialog(owner)).map(java.io.File::toPath);
            }

            @Override
            public Optional<Path> fileToImport(Window owner) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Import");
                chooser.getExtensionFilters()
                        .add(
                                new FileChooser.ExtensionFilter(
                                        "MusicXML, MIDI, text tab, recordings",
                                        "*.musicxml",
                                        "*.mxl",
                                        "*.xml",
                                        "*.mid",
                                        "*.midi",
                                        "*.txt",
                                        "*.tab",
                                        "*.wav",
                                        "*.aif",
                                        "*.aiff",
                                        "*.au"));
                return Optional.ofNullable(chooser.showOpenDialog(owner)).map(java.io.File::toPath);
            }

            @Override
            public Optional<Path> fileToExport(Window owner, String suggestedName, String what) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle("Export: " + what);
                chooser.setInitialFileName(suggestedName);
                return Optional.ofNullable(chooser.showSaveDialog(owner)).map(java.io.File::toPath);
            }

            private FileChooser chooser(String title, Path folder) {
                FileChooser chooser = new FileChooser();
                chooser.setTitle(title);
                if (Files.isDirectory(folder)) {
                    chooser.setInitialDirectory(folder.toFile());
                }
                return chooser;
            }
        };
    }
}
