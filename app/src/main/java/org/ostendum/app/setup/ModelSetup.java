package org.ostendum.app.setup;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.draw.BatteryPlotter;
import org.ostendum.app.inventory.Models;
import org.ostendum.app.inventory.StoredModel;
import org.ostendum.app.page.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.page.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.battery.BatteryModel;
import org.ostendum.core.battery.CellKind;
import org.ostendum.core.battery.CellLayout;
import org.ostendum.core.battery.Duty;
import org.ostendum.core.battery.GravityMarks;
import org.ostendum.core.battery.LayoutFault;
import org.ostendum.core.battery.LayoutText;
import org.ostendum.core.life.Prices;
import org.ostendum.core.quantity.AmpHours;
import org.ostendum.core.receive.DateScheme;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Battery models: the maker's sheet, as far as Ostendum uses it. */
@Controller
class ModelSetup {
    private static final List<String> PRICES = List.of("priceNew", "priceCell", "coreCredit", "lifeCycles");

    private final Models models;

    ModelSetup(Models models) {
        this.models = models;
    }

    @GetMapping("/setup/models")
    String list(Words words, Model page) {
        GravityMarks usual = GravityMarks.usualFor(Duty.MOTIVE);
        return show(
                null,
                TypedForm.of(
                        words,
                        "case",
                        "1",
                        "layout",
                        "1 2 3 4/8 7 6 5/9 10 11 12",
                        "rate",
                        "6",
                        "empty",
                        points(usual.empty().points()),
                        "recharge",
                        points(usual.rechargeBelow().points()),
                        "fullFrom",
                        points(usual.fullFrom().points()),
                        "fullTo",
                        points(usual.fullTo().points())),
                page);
    }

    @GetMapping("/setup/models/{id}")
    String one(@PathVariable long id, Words words, Model page) {
        StoredModel stored = find(id);
        BatteryModel model = stored.model();
        return show(
                stored,
                TypedForm.of(
                        words,
                        "code",
                        stored.code(),
                        "maker",
                        stored.maker(),
                        "kind",
                        model.kind().name(),
                        "duty",
                        model.duty().name(),
                        "case",
                        points(model.layout().cellsPerCase()),
                        "layout",
                        model.layout().text(),
                        "capacity",
                        String.valueOf(model.capacity().ampHours()),
                        "rate",
                        String.valueOf(model.rateHours()),
                        "empty",
                        points(model.marks().empty().points()),
                        "recharge",
                        points(model.marks().rechargeBelow().points()),
                        "fullFrom",
                        points(model.marks().fullFrom().points()),
                        "fullTo",
                        points(model.marks().fullTo().points()),
                        "mark",
                        points(stored.levelMarkMm()),
                        "markWords",
                        stored.levelWords(),
                        "weight",
                        points(stored.weightKg()),
                        "cables",
                        stored.cablesLeft() ? "left" : "right",
                        "scheme",
                        stored.dateScheme().name(),
                        "torque",
                        stored.torqueTenths() == 0 ? "" : String.valueOf(stored.torqueTenths() / 10.0),
                        "connector",
                        stored.connector(),
                        "opportunity",
                        stored.opportunity() ? "yes" : "",
                        "priceNew",
                        price(stored, Prices::newBattery),
                        "priceCell",
                        price(stored, Prices::cellRepair),
                        "coreCredit",
                        price(stored, Prices::coreCredit),
                        "lifeCycles",
                        stored.prices() == null ? "" : points(stored.prices().cycles())),
                page);
    }

    private static String price(StoredModel stored, ToDoubleFunction<Prices> which) {
        return stored.prices() == null
                ? ""
                : BigDecimal.valueOf(which.applyAsDouble(stored.prices()))
                        .stripTrailingZeros()
                        .toPlainString();
    }

    private static String points(int number) {
        return String.valueOf(number);
    }

    private String show(@Nullable StoredModel stored, TypedForm form, Model page) {
        page.addAttribute("place", "setup");
        page.addAttribute("stored", stored);
        page.addAttribute("form", form);
        page.addAttribute("faults", form.faults());
        page.addAttribute("models", models.all());
        page.addAttribute("kinds", CellKind.values());
        page.addAttribute("duties", Duty.values());
        page.addAttribute("schemes", DateScheme.values());
        if (stored != null) {
            page.addAttribute("d", BatteryPlotter.plot(stored.model().layout(), stored.cablesLeft(), 840, 300));
        }
        return "setup/models";
    }

    @PostMapping("/setup/models")
    Object add(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        return keep(null, typed, words, page, flash);
    }

    @PostMapping("/setup/models/{id}")
    Object change(
            @PathVariable long id,
            @RequestParam Map<String, String> typed,
            Words words,
            Model page,
            RedirectAttributes flash) {
        return keep(find(id), typed, words, page, flash);
    }

    private Object keep(
            @Nullable StoredModel was, Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        Optional<StoredModel> read = read(form, was == null ? 0 : was.id());
        if (read.isPresent() && form.isSound()) {
            try {
                if (was == null) {
                    models.add(read.get());
                } else {
                    models.change(read.get());
                }
                flash.addFlashAttribute(
                        "told", words.text("setup.kept", read.get().code()));
                return "redirect:/setup/models";
            } catch (DuplicateKeyException e) {
                form.fault("code", "fault.taken", form.get("code"));
            }
        }
        return Faults.page(HttpStatus.UNPROCESSABLE_CONTENT, show(was, form, page), page);
    }

    private static Optional<StoredModel> read(TypedForm form, long id) {
        String code = form.text("code", 30);
        String maker = form.text("maker", 60);
        Optional<CellKind> kind = form.choice("kind", CellKind.class);
        Optional<Duty> duty = form.choice("duty", Duty.class);
        Optional<CellLayout> layout = layout(form);
        double capacity = form.number("capacity", 1, 5000);
        double rate = form.number("rate", 0.5, 100);
        Optional<GravityMarks> marks = marks(form);
        int mark = form.whole("mark", 1, 100);
        String markWords = form.text("markWords", 160);
        int weight = form.whole("weight", 1, 5000);
        DateScheme scheme = form.get("scheme").isEmpty()
                ? DateScheme.LETTER_DIGIT
                : form.choice("scheme", DateScheme.class).orElse(DateScheme.LETTER_DIGIT);
        @Nullable Prices prices = prices(form);
        double torque = form.get("torque").isEmpty() ? 0 : form.number("torque", 1, 60);
        String connector = form.get("connector");
        if (connector.length() > 40) {
            form.fault("connector", "fault.length", connector.substring(0, 20) + "…", 40);
        }
        if (kind.isEmpty() || duty.isEmpty() || layout.isEmpty() || marks.isEmpty()) {
            return Optional.empty();
        }
        BatteryModel model =
                new BatteryModel(code, kind.get(), duty.get(), layout.get(), AmpHours.of(capacity), rate, marks.get());
        boolean left = form.get("cables").equals("left");
        return Optional.of(new StoredModel(
                id,
                model,
                maker,
                mark,
                markWords,
                weight,
                left,
                scheme,
                (int) Math.round(torque * 10),
                connector,
                !form.get("opportunity").isEmpty(),
                prices));
    }

    /** All four or none: with some of them no sum can be worked. */
    private static @Nullable Prices prices(TypedForm form) {
        if (PRICES.stream().allMatch(field -> form.get(field).isEmpty())) {
            return null;
        }
        double newBattery = form.number("priceNew", 1, 1_000_000);
        double cellRepair = form.number("priceCell", 0, 1_000_000);
        double credit = form.number("coreCredit", 0, newBattery);
        int cycles = form.whole("lifeCycles", 50, 5000);
        return form.isSound() ? new Prices(newBattery, cellRepair, credit, cycles) : null;
    }

    private static Optional<CellLayout> layout(TypedForm form) {
        int cellsPerCase = form.whole("case", 1, 6);
        if (cellsPerCase == 2 || cellsPerCase == 5) {
            form.fault("case", "fault.cases", cellsPerCase);
            return Optional.empty();
        }
        try {
            CellLayout layout = LayoutText.parse(form.text("layout", 400), cellsPerCase);
            return Optional.of(layout);
        } catch (LayoutFault e) {
            form.fault("layout", "fault.layout." + e.kind(), e.piece());
            return Optional.empty();
        }
    }

    private static Optional<GravityMarks> marks(TypedForm form) {
        int empty = form.whole("empty", 1000, 1400);
        int recharge = form.whole("recharge", 1000, 1400);
        int fullFrom = form.whole("fullFrom", 1000, 1400);
        int fullTo = form.whole("fullTo", 1000, 1400);
        if (!form.isSound()) {
            return Optional.empty();
        }
        try {
            return Optional.of(GravityMarks.ofPoints(empty, recharge, fullFrom, fullTo));
        } catch (IllegalArgumentException e) {
            form.fault("fullTo", "fault.marks");
            return Optional.empty();
        }
    }

    private StoredModel find(long id) {
        return models.byId(id).orElseThrow(() -> new NotFound("model " + id));
    }
}
