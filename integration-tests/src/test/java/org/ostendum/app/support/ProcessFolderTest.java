package org.ostendum.app.support;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import org.junit.jupiter.api.Test;

class ProcessFolderTest {
    @Test
    void nothingOfItIsLeftNeitherProcessesNorFiles() throws Exception {
        ProcessFolder folder = new ProcessFolder("ostendum-folder-test-");
        Process process = folder.start(new ProcessBuilder("sh", "-c", "echo here; sleep 600"));
        Patience.await("its first word", Duration.ofSeconds(10), process)
                .until(() -> folder.said().equals("here\n"));

        folder.end();

        assertThat(process.isAlive()).isFalse();
        assertThat(folder.path()).doesNotExist();
    }

    @Test
    void whatAProcessSaidBeforeItGaveUpIsTold() throws Exception {
        ProcessFolder folder = new ProcessFolder("ostendum-folder-test-");
        Process process = folder.start(new ProcessBuilder("sh", "-c", "echo no room; exit 3"));

        assertThatThrownBy(() -> folder.await("a server", Duration.ofSeconds(10), process, () -> false))
                .hasMessageContainingAll("a server does not answer", "no room");

        folder.end();
    }
}
