package org.ostendum.app.setup;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.inventory.Batteries;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.people.Person;
import org.ostendum.app.rules.RuleChange;
import org.ostendum.app.rules.RuleChanges;
import org.ostendum.app.rules.Rulebook;
import org.ostendum.app.state.BatteryStates;
import org.ostendum.app.words.Words;
import org.ostendum.core.rulebook.RuleKey;
import org.ostendum.core.rulebook.Severity;
import org.ostendum.core.state.BatteryState;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
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

    /** A change as typed. */
    record RuleForm(@Nullable String value, @Nullable Long model, @Nullable String reason, @Nullable String back) {}

    /**
     * One rule as shown.
     *
     * @param site the site's change in force, null for the default
     * @param forModels changes in force for single models
     */
    record RuleLine(RuleKey rule, BigDecimal value, @Nullable RuleChange site, List<RuleChange> forModels) {}

    @GetMapping("/rules")
    String rules(Model page) {
        return show(null, new RuleForm("", null, "", null), Faults.NONE, page);
    }

    private String show(@Nullable RuleKey open, RuleForm form, Faults faults, Model page) {
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
        page.addAttribute("faults", faults);
        return "rulebook/rules";
    }

    private static RuleLine line(RuleKey rule, Rulebook book, List<StoredModel> models) {
        return new RuleLine(
                rule,
                book.siteRules().value(rule),
                book.inForce(rule, null).orElse(null),
                models.stream()
                        .flatMap(m -> book.inForce(rule, m.id()).stream())
                        .toList());
    }

    @PostMapping("/rules/{key}")
    Object set(
            @PathVariable String key,
            @ModelAttribute RuleForm form,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        RuleKey rule = RuleKey.find(key).orElseThrow(() -> new NotFound("rule " + key));
        Faults.Finder faults = new Faults.Finder(words);
        @Nullable BigDecimal value = form.back() == null ? value(rule, form.value(), faults, words) : null;
        String reason = form.reason() == null ? "" : form.reason().strip();
        if (reason.length() < 3 || reason.length() > 400) {
            faults.add("reason", "rules.fault.reason");
        }
        Optional<StoredModel> model = Optional.ofNullable(form.model()).flatMap(models::byId);
        if (form.model() != null && model.isEmpty()) {
            faults.add("model", "fault.choose");
        }
        if (faults.any()) {
            return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(rule, form, faults.found(), page), page);
        }
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

    private static @Nullable BigDecimal value(RuleKey rule, @Nullable String typed, Faults.Finder faults, Words words) {
        String text = typed == null ? "" : typed.strip().replace(',', '.');
        try {
            BigDecimal value = new BigDecimal(text);
            if (rule.allows(value) && value.scale() <= 2) {
                return value;
            }
            faults.add("value", "rules.fault.value", text, rule.least(), rule.most(), words.name(rule.unit()));
        } catch (NumberFormatException e) {
            faults.add("value", "rules.fault.number", text, rule.least(), rule.most(), words.name(rule.unit()));
        }
        return null;
    }
}
