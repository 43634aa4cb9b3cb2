package org.ostendum.app.rules;

import org.ostendum.app.page.Named;
import org.ostendum.core.rulebook.RuleKey;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for rules. */
@Configuration
class RuleInAddress {
    @Bean
    Named<RuleKey> namedRule() {
        return new Named<>(RuleKey.class, RuleKey::find);
    }
}
