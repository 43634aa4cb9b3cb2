package org.ostendum.app.setup;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.form.FormView;
import org.ostendum.app.form.PlainNumber;
import org.ostendum.app.form.Text;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.rules.RuleChanges;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.rulebook.RuleChange;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Rulebook;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.validation.annotation.Validated;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Rulebook: what every threshold is and, for a lead, setting it for the site or for one model. */
@Controller
class RulesController {
    private final RuleChanges changes;
    private final Models models;
    private final Batteries batteries;
    private final BatteryStates batteryStates;

    RulesController(RuleChanges changes, Models models, Batteries batteries, BatteryStates batteryStates) {
        this.changes = changes;
        this.models = models;
        this.batteries = batteries;
        this.batteryStates = batteryStates;
    }

    /**
     * A change as typed.
     *
     * @param model id; null for the whole site
     * @param back anything to go back to the default
     * @param seen how often the rule had been changed when it was shown
     */
    record RuleForm(
            @Text(max = 40) @Nullable String value,
            @Nullable Long model,
            @Text(max = 400) @Nullable String reason,
            @Nullable String back,
            @Nullable Integer seen) {
        private static final int SHORTEST_REASON = 3;
        static final RuleForm BLANK = new RuleForm("", null, "", null, null);

        boolean isUnreasoned() {
            return reason == null || reason.length() < SHORTEST_REASON;
        }
    }

    /**
     * One rule as shown.
     *
     * @param site the site's change in force, null for the default
     * @param forModels changes in force for single models
     * @param changed how often it has been changed
     */
    record RuleLine(
            RuleKey rule, BigDecimal value, @Nullable RuleChange site, List<RuleChange> forModels, int changed) {}

    @GetMapping("/rules")
    String rules(Model page) {
        return show(null, FormView.of(RuleForm.BLANK), page);
    }

    private String show(@Nullable RuleKey open, FormView form, Model page) {
        Rulebook book = changes.now();
        List<StoredModel> known = models.all();
        Map<String, List<RuleLine>> byPractice = Arrays.stream(RuleKey.values())
                .map(rule -> line(rule, book, known))
                .collect(
                        Collectors.groupingBy(line -> line.rule().practice(), LinkedHashMap::new, Collectors.toList()));
        page.addAttribute("place", "rules");
        page.addAttribute("practices", byPractice);
        page.addAttribute("models", known);
        page.addAttribute("history", book.changes());
        page.addAttribute("open", open);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        return "rulebook/rules";
    }

    private static RuleLine line(RuleKey rule, Rulebook book, List<StoredModel> models) {
        return new RuleLine(
                rule,
                book.siteRules().value(rule),
                book.inForce(rule, null).orElse(null),
                models.stream()
                        .flatMap(m -> book.inForce(rule, m.id()).stream())
                        .toList(),
                book.changesOf(rule));
    }

    @PostMapping("/rules/{rule}")
    Object set(
            RuleKey rule,
            @Validated @ModelAttribute("form") RuleForm form,
            BindingResult errors,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        @Nullable
        BigDecimal value = form == null || form.back() != null ? null : value(rule, form.value(), errors, words);
        check(rule, form, errors);
        if (errors.hasErrors()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(rule, FormView.of(errors, words), page), page);
        }
        String reason = Objects.requireNonNull(form.reason());
        Map<Long, Severity> before = severities();
        changes.set(rule, form.model(), value, reason, person.id());
        Map<Long, Severity> after = severities();
        long changed = after.entrySet().stream()
                .filter(e -> e.getValue() != before.get(e.getKey()))
                .count();
        String title = words.text("rule." + rule.key());
        flash.addFlashAttribute(
                "told",
                value == null
                        ? words.text("rules.kept.back", title, (int) changed)
                        : words.text("rules.kept", title, value, words.name(rule.unit()), (int) changed));
        return "redirect:/rules#" + rule.key();
    }

    private Map<Long, Severity> severities() {
        return batteryStates.statesOf(batteries.all()).entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> severity(e.getValue())));
    }

    private static Severity severity(BatteryState state) {
        return state.verdict().severity();
    }

    private void check(RuleKey rule, @Nullable RuleForm form, BindingResult errors) {
        if (form == null) {
            return;
        }
        if (form.isUnreasoned()) {
            Faults.tell(errors, "reason", "rules.fault.reason");
        }
        if (form.model() != null && models.byId(form.model()).isEmpty()) {
            Faults.tell(errors, "model", "fault.choose");
        }
        if (form.seen() != null && form.seen() != changes.now().changesOf(rule)) {
            changes.now().changes().stream()
                    .filter(c -> c.rule() == rule)
                    .reduce((earlier, later) -> later)
                    .ifPresent(last -> Faults.tell(errors, "value", "rules.fault.clash", last.person(), last.reason()));
        }
    }

    private static @Nullable BigDecimal value(RuleKey rule, @Nullable String typed, BindingResult errors, Words words) {
        String text = typed == null ? "" : typed;
        Optional<BigDecimal> value = PlainNumber.parse(text);
        if (value.isEmpty()) {
            Faults.tell(
                    errors, "value", "rules.fault.number", text, rule.least(), rule.most(), words.name(rule.unit()));
        } else if (!rule.allows(value.get()) || value.get().scale() > 2) {
            Faults.tell(errors, "value", "rules.fault.value", text, rule.least(), rule.most(), words.name(rule.unit()));
        }
        return value.orElse(null);
    }
}
