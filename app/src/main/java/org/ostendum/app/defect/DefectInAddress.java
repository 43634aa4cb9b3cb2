package org.ostendum.app.defect;

import org.ostendum.app.page.Named;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for defects that are open. */
@Configuration
class DefectInAddress {
    @Bean
    Named<Defects.Defect> namedDefect(Defects defects) {
        return Named.byId(Defects.Defect.class, defects::openById);
    }
}
