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
import java.nio.file.attribute.PosixFilePermissions;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

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
        return runIn(folder, arguments);
    }

    private Said runIn(Path where, String... arguments) throws IOException, InterruptedException {
        ProcessBuilder builder =
                new ProcessBuilder(arguments).directory(where.toFile()).redirectErrorStream(true);
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
                        "demo [SPEED] | start | stop | status | test | bench | coverage | mutants | backup FILE | restore FILE | verify FILE");
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
        restore(dump("first.sql.gz", "1.265"));
        restore(dump("second.sql.gz", "1.165"));
        assertThat(unzipped(backup("again.sql.gz"))).contains("1.165").doesNotContain("1.265");
        assertThat(run("restore", "--back").text()).contains("back to what was here before");
        assertThat(unzipped(backup("former.sql.gz"))).contains("1.265").doesNotContain("1.165");
        restore(folder.resolve("again.sql.gz"));
        assertThat(unzipped(backup("third.sql.gz"))).contains("1.165");
        assertThat(run("status").text()).contains("database: not running");
    }

    private void restore(Path file) throws Exception {
        Said said = run("restore", file.toString());
        assertThat(said.code()).as(said.text()).isZero();
        assertThat(said.text()).contains("what was here before lies beside it");
    }

    private Path backup(String name) throws Exception {
        Said said = run("backup", folder.resolve(name).toString());
        assertThat(said.text()).contains("backup written");
        return folder.resolve(name);
    }

    /** One that is cut short or was changed is known before anything is touched. */
    @Test
    void aBackupThatDoesNotProveItselfChangesNothing() throws Exception {
        Path whole = dump("whole.sql.gz", "1.265");
        restore(whole);
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut.sql.gz"), Arrays.copyOf(bytes, bytes.length - 20));
        assertThat(run("restore", cut.toString()).text())
                .contains("cut short or was changed; nothing here was touched");
        Path changed = zip("changed.sql.gz", unzipped(whole).replace("1.265", "1.275"));
        assertThat(run("restore", changed.toString()).text()).contains("cut short or was changed");
        Path wrong = proved("wrong.sql.gz", "create table told (said varchar(9));\ninsert into tolt values ('1');\n");
        assertThat(run("restore", wrong.toString()).text())
                .contains("could not be brought in, and nothing here was touched");
        assertThat(unzipped(backup("after.sql.gz"))).contains("1.265");
    }

    /** A file named by a person lies where he stands, for nobody else to read; one that fails leaves nothing. */
    @Test
    void aBackupLiesWhereThePersonStands() throws Exception {
        restore(dump("first.sql.gz", "1.265"));
        Path desk = Files.createDirectories(folder.resolve("desk"));
        assertThat(runIn(desk, "backup", "mine.gz").text()).contains("backup written: " + desk + "/mine.gz");
        assertThat(Files.getPosixFilePermissions(desk.resolve("mine.gz")))
                .isEqualTo(PosixFilePermissions.fromString("rw-------"));
        assertThat(runIn(desk, "backup", "nowhere/mine.gz").text()).contains("the backup failed");
        pretend("mariadb-dump", "echo half of it; exit 3");
        assertThat(runIn(desk, "backup", "half.gz").text()).contains("the backup failed");
        try (Stream<Path> left = Files.list(desk)) {
            assertThat(left).containsExactly(desk.resolve("mine.gz"));
        }
    }

    /** With a recipient the file is sealed, and only who has the key brings it back. */
    @Test
    void aSealedBackupIsOpenedByItsKeyOnly() throws Exception {
        restore(dump("first.sql.gz", "1.265"));
        pretend(
                "age",
                """
                case $1 in
                  --encrypt) [ "$3" = age1lead ] || exit 1; echo age-encryption.org/v1; base64 ;;
                  --decrypt) [ "$(cat "$3")" = key ] || exit 1; tail -n +2 "$4" | base64 -d ;;
                esac""");
        environment.put("OSTENDUM_BACKUP_TO", "age1lead");
        Path sealed = backup("sealed.age");
        assertThat(Files.readString(sealed)).startsWith("age-encryption.org/v1");
        assertThat(run("restore", sealed.toString()).text()).contains("is no backup of Ostendum");
        environment.put(
                "OSTENDUM_BACKUP_IDENTITY",
                Files.writeString(folder.resolve("id"), "key").toString());
        restore(sealed);
    }

    /** What does not end when told to is ended all the same, and is not started again. */
    @Test
    void stopMakesSure() throws Exception {
        environment.put("OSTENDUM_STOP_WITHIN", "1");
        Process deaf = new ProcessBuilder("sh", "-c", "trap '' TERM; while :; do sleep 0.1; done").start();
        Files.createDirectories(folder.resolve("var"));
        Files.writeString(folder.resolve("var/app.pid"), String.valueOf(deaf.pid()));
        assertThat(run("status").text()).contains("it does not answer");
        assertThat(run("stop").text()).contains("ended by force");
        assertThat(deaf.waitFor()).isEqualTo(137);
        assertThat(run("status").text()).contains("application: not running");
    }

    @ParameterizedTest
    @CsvSource({"0, 3, 3", "60, 3, 1"})
    void whatDiesIsStartedAgainUnlessItDiedAtOnce(String soon, int deaths, int runs) throws Exception {
        Path runsOfIt = folder.resolve("runs");
        pretend(
                "mortal",
                "echo x >> " + runsOfIt + "; [ $(wc -l < " + runsOfIt + ") -lt " + deaths + " ] && exit 7; exit 0");
        environment.put("OSTENDUM_SOON", soon);
        ProcessBuilder watched = new ProcessBuilder(
                SCRIPT.resolveSibling("scripts/watch.sh").toString(),
                folder.resolve("pid").toString(),
                "mortal");
        watched.environment().putAll(environment);
        watched.start().waitFor();
        assertThat(Files.readAllLines(runsOfIt)).hasSize(runs);
        assertThat(folder.resolve("pid")).doesNotExist();
    }

    private Path dump(String name, String gravity) throws Exception {
        return proved(name, "create table told (said varchar(9));\ninsert into told values ('" + gravity + "');\n");
    }

    /** As the script writes one: its last line proves what stands before it. */
    private Path proved(String name, String statements) throws Exception {
        String text = "-- Ostendum backup\n" + statements;
        byte[] digest = MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8));
        return zip(
                name,
                text + "-- Ostendum: all of this has sha256 " + HexFormat.of().formatHex(digest) + "\n");
    }

    private Path zip(String name, String text) throws IOException {
        Path file = folder.resolve(name);
        try (Writer out =
                new OutputStreamWriter(new GZIPOutputStream(Files.newOutputStream(file)), StandardCharsets.UTF_8)) {
            out.write(text);
        }
        return file;
    }

    private static String unzipped(Path file) throws IOException {
        try (var in = new GZIPInputStream(Files.newInputStream(file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
