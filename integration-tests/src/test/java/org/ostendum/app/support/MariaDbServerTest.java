package org.ostendum.app.support;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Test classes make their databases at the same time: none may take from another what it is working with. */
class MariaDbServerTest {
    @Test
    void aServerBeingMadeLeavesAnothersTemporaryTablesAlone() throws Exception {
        Path another = Files.createTempFile(Path.of("/tmp"), "#sql-temptable-", "-1-1.MAI");
        try {
            Files.setOwner(
                    another,
                    another.getFileSystem()
                            .getUserPrincipalLookupService()
                            .lookupPrincipalByName(MariaDbServer.user()));
            new MariaDbServer(false).kill();
            assertThat(another).exists();
        } finally {
            Files.deleteIfExists(another);
        }
    }
}
