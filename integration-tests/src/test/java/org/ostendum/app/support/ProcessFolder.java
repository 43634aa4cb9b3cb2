package org.ostendum.app.support;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.awaitility.core.ConditionTimeoutException;
import org.awaitility.core.TerminalFailureException;
import org.springframework.util.FileSystemUtils;

/** A folder of processes that tests start. When the tests end so do they, and the folder goes: a database alone leaves 150 MiB. */
final class ProcessFolder {
    private final Path path;
    private final List<Process> started = new ArrayList<>();

    /** @param name what its name begins with; others may look into it */
    ProcessFolder(String name) {
        try {
            path = Files.createTempDirectory(
                    Path.of("/tmp"),
                    name,
                    PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rwxr-xr-x")));
        } catch (IOException e) {
            throw new IllegalStateException("No folder for a process", e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(this::end));
    }

    Path path() {
        return path;
    }

    /** What it says goes into the log, which begins anew. */
    synchronized Process start(ProcessBuilder builder) throws IOException {
        Process process =
                builder.redirectErrorStream(true).redirectOutput(log().toFile()).start();
        started.add(process);
        return process;
    }

    /**
     * Waits until it answers.
     *
     * @param usual on a quiet machine, with room to spare
     * @throws IllegalStateException with what it said instead
     */
    void await(String what, Duration usual, Process process, Callable<Boolean> answers) {
        try {
            Patience.await(what, usual, process).until(answers);
        } catch (ConditionTimeoutException | TerminalFailureException e) {
            throw new IllegalStateException(what + " does not answer; it said:\n" + said(), e);
        }
    }

    /** @return what the last process started here has said */
    String said() {
        try {
            return Files.readString(log());
        } catch (IOException e) {
            return "nothing that can be read: " + e;
        }
    }

    private Path log() {
        return path.resolve("log");
    }

    synchronized void end() {
        try {
            for (Process process : started) {
                process.destroyForcibly().waitFor();
            }
            FileSystemUtils.deleteRecursively(path);
        } catch (IOException left) {
            System.err.println("Left behind: " + path + ", " + left);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
