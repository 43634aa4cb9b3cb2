package org.ostendum.app.script;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the one script says when the machine is not as it should be, and that a backup comes back whole. */
class StartScriptTest {
    private static final Path SCRIPT = Path.of("../ostendum").toAbsolutePath().normalize();
    /** What the script itself calls before it can say that something is missing. */
    private static final List<String> TOOLS =
            List.of("bash", "readlink", "dirname", "mkdir", "df", "awk", "xargs", "cat", "env", "grep", "echo");

    @TempDir
    Path folder;

    private final Map<String, String> environment = new HashMap<>();

    private record Said(int code, String text) {}

    @BeforeEach
    void aFolderOfItsOwn() throws IOException {
        environment.put("OSTENDUM_VAR", folder.resolve("var").toString());
        try (ServerSocket database = new ServerSocket(0);
                ServerSocket web = new ServerSocket(0)) {
            environment.put("OSTENDUM_DB_PORT", String.valueOf(database.getLocalPort()));
            environment.put("OSTENDUM_PORT", String.valueOf(web.getLocalPort()));
        }
    }

    private Said run(String... arguments) throws IOException, InterruptedException {
        ProcessBuilder builder = new ProcessBuilder(arguments).redirectErrorStream(true);
        builder.command().add(0, SCRIPT.toString());
        builder.environment().putAll(environment);
        Path said = folder.resolve("said");
        int code = builder.redirectOutput(said.toFile()).start().waitFor();
        return new Said(code, Files.readString(said));
    }

    /** Puts a program of ours in front of the machine's. */
    private void pretend(String program, String script) throws IOException {
        Path bin = Files.createDirectories(folder.resolve("bin"));
        Path file = Files.writeString(bin.resolve(program), "#!/bin/sh\n" + script + "\n");
        assertThat(file.toFile().setExecutable(true)).isTrue();
        environment.putIfAbsent("PATH", bin + ":" + System.getenv("PATH"));
    }

    @Test
    void anUnknownWordIsAnsweredWithTheWordsThereAre() throws Exception {
        Said said = run("strat");
        assertThat(said.code()).isEqualTo(2);
        assertThat(said.text())
                .contains(
                        "demo [SPEED] | start | stop | status | test | bench | coverage | mutants | backup FILE | restore FILE");
    }

    @Test
    void aTakenPortIsNamedBeforeAnythingIsBuilt() throws Exception {
        for (String setting : List.of("OSTENDUM_DB_PORT", "OSTENDUM_PORT")) {
            String free = environment.get(setting);
            try (ServerSocket taken = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
                environment.put(setting, String.valueOf(taken.getLocalPort()));
                Said said = run("start");
                assertThat(said.code()).isEqualTo(1);
                assertThat(said.text())
                        .contains("port " + taken.getLocalPort() + " is taken", setting + "=")
                        .doesNotContain("building");
            }
            environment.put(setting, free);
        }
    }

    @Test
    void aFullDiskIsNamedWithWhatIsNeeded() throws Exception {
        pretend("df", "echo Filesystem; echo /dev/x 1 1 204800 99% /");
        Said said = run("start");
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.text()).contains("only 200 MiB are free", "1500 are needed", "OSTENDUM_VAR");
    }

    @Test
    void withoutRootItSaysWhatToInstall() throws Exception {
        Path bin = Files.createDirectories(folder.resolve("bin"));
        for (String tool : TOOLS) {
            Files.createSymbolicLink(bin.resolve(tool), Path.of("/usr/bin", tool));
        }
        environment.put("PATH", bin.toString());
        pretend("id", "echo 1000");
        pretend("sudo", "exit 1");
        pretend("apt-get", "exit 1");
        Said said = run("start");
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.text())
                .contains("this machine lacks: openjdk-17-jdk-headless maven nodejs npm")
                .contains("As root, run: apt-get install --no-install-recommends openjdk-17-jdk-headless maven");
    }

    @Test
    void packagesThatCannotBeFetchedAreNamedWithTheLog() throws Exception {
        Path bin = Files.createDirectories(folder.resolve("bin"));
        for (String tool : TOOLS) {
            Files.createSymbolicLink(bin.resolve(tool), Path.of("/usr/bin", tool));
        }
        environment.put("PATH", bin.toString());
        pretend("id", "echo 0");
        pretend("apt-get", "echo no network; exit 100");
        Said said = run("start");
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.text()).contains("the package lists could not be read", "var/log/packages.log");
        assertThat(folder.resolve("var/log/packages.log")).hasContent("no network");
    }

    @Test
    void nothingRunningIsNoFault() throws Exception {
        assertThat(run("status").text()).contains("application: not running", "database: not running");
        assertThat(run("stop").code()).isZero();
    }

    @Test
    void aBackupNeedsAFileAndADatabase() throws Exception {
        assertThat(run("backup").text()).contains("say where to: ./ostendum backup FILE");
        assertThat(run("backup", folder.resolve("b").toString()).text()).contains("there is no database under");
        assertThat(run("restore").text()).contains("say which: ./ostendum restore FILE");
        assertThat(run("restore", folder.resolve("none").toString()).text()).contains("there is no file");
        Path letter = Files.writeString(folder.resolve("letter.txt"), "Dear Maud");
        Said said = run("restore", letter.toString());
        assertThat(said.code()).isEqualTo(1);
        assertThat(said.text()).contains("letter.txt is no backup of Ostendum");
        assertThat(folder.resolve("var/db")).doesNotExist();
    }

    @Test
    void whatIsRestoredIsWhatWasBackedUpAndTheFormerStateIsKept() throws Exception {
        Path first = dump("first.sql.gz", "1.265");
        Said once = run("restore", first.toString());
        assertThat(once.code()).as(once.text()).isZero();
        Path second = dump("second.sql.gz", "1.165");
        Said said = run("restore", second.toString());
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(said.text()).contains("what was here before is kept in");
        try (var files = Files.list(folder.resolve("var"))) {
            Path kept = files.filter(f -> f.toString().contains("before-restore-"))
                    .findFirst()
                    .orElseThrow();
            assertThat(unzipped(kept)).contains("1.265");
        }
        Path again = folder.resolve("again.sql.gz");
        assertThat(run("backup", again.toString()).text()).contains("backup written");
        assertThat(unzipped(again)).contains("1.165").doesNotContain("1.265");
        assertThat(run("status").text()).contains("database: not running");
    }

    private Path dump(String name, String gravity) throws IOException {
        Path file = folder.resolve(name);
        try (Writer out =
                new OutputStreamWriter(new GZIPOutputStream(Files.newOutputStream(file)), StandardCharsets.UTF_8)) {
            out.write("create database `ostendum`; use `ostendum`; create table told (said varchar(9));\n");
            out.write("insert into told values ('" + gravity + "');\n");
        }
        return file;
    }

    private static String unzipped(Path file) throws IOException {
        try (var in = new GZIPInputStream(Files.newInputStream(file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
