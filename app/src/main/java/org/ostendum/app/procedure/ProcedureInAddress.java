package org.ostendum.app.procedure;

import org.ostendum.app.page.Named;
import org.ostendum.core.procedure.Procedure;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for procedures, as this site runs them. */
@Configuration
class ProcedureInAddress {
    @Bean
    Named<Procedure> namedProcedure(SiteProcedures procedures) {
        return new Named<>(Procedure.class, procedures::find);
    }
}
