package org.ostendum.app.seal;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Seals in a folder, one for each day: a file that is there is not written again. */
final class SealFiles {
    private static final String ENDING = ".seal";

    private final Path folder;

    SealFiles(Path folder) {
        this.folder = folder;
        try {
            Files.createDirectories(folder);
        } catch (IOException e) {
            throw new UncheckedIOException("The folder of the seals cannot be made: " + folder, e);
        }
    }

    boolean has(LocalDate day) {
        return Files.exists(file(day));
    }

    /** Whole or not at all. */
    void keep(LocalDate day, Seal seal) {
        Path part = folder.resolve(day + ".part");
        try {
            Files.writeString(part, seal.text());
            Files.move(part, file(day), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException e) {
            throw new UncheckedIOException("The seal of " + day + " cannot be written to " + folder, e);
        }
    }

    boolean isMailed(String day) {
        return Files.exists(mailMark(day));
    }

    /** A start after this one does not mail it again. */
    void mailed(String day) {
        try {
            Files.writeString(mailMark(day), "");
        } catch (IOException e) {
            throw new UncheckedIOException("That the seal of " + day + " was mailed cannot be kept in " + folder, e);
        }
    }

    private Path mailMark(String day) {
        return folder.resolve(day + ".mailed");
    }

    /**
     * What a file holds.
     *
     * @param seal empty where it is no seal any more
     */
    record Kept(String day, Optional<Seal> seal) {}

    /** @return all of them, oldest first */
    List<Kept> all() {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().endsWith(ENDING))
                    .sorted()
                    .map(SealFiles::read)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The seals in " + folder + " cannot be read", e);
        }
    }

    private static Kept read(Path file) {
        String name = file.getFileName().toString();
        try {
            return new Kept(name.substring(0, name.length() - ENDING.length()), Seal.read(Files.readString(file)));
        } catch (IOException e) {
            throw new UncheckedIOException("The seal " + file + " cannot be read", e);
        }
    }

    private Path file(LocalDate day) {
        return folder.resolve(day + ENDING);
    }
}
