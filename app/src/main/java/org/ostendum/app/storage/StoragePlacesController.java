package org.ostendum.app.storage;

import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.ostendum.app.csv.CsvFile;
import org.ostendum.app.csv.CsvProblems;
import org.ostendum.app.csv.CsvRow;
import org.ostendum.app.form.TypedForm;
import org.ostendum.app.words.Words;
import org.ostendum.core.storage.Climate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Places with their climate, as twelve lines of {@code month, mean_c, coldest_c}. */
@Controller
class StoragePlacesController {
    private static final List<String> COLUMNS = List.of("month", "mean_c", "coldest_c");
    private static final int MONTHS = 12;
    private static final int MOST_NAME = 80;
    private static final double COLDEST_MEAN = -40;
    private static final double HOTTEST_MEAN = 50;
    private static final double COLDEST = -50;

    private final StorageBoard board;
    private final Stays stays;

    StoragePlacesController(StorageBoard board, Stays stays) {
        this.board = board;
        this.stays = stays;
    }

    @PostMapping("/storage/places")
    Object place(@RequestParam Map<String, String> typed, Words words, Model page, RedirectAttributes flash) {
        TypedForm form = new TypedForm(typed, words);
        String name = form.get("name");
        String csv = typed.getOrDefault("months", "");
        if (name.isEmpty() || name.length() > MOST_NAME) {
            form.fault("name", "storage.name-wanted", MOST_NAME);
        }
        NavigableMap<Integer, Climate.Month> months = months(csv, form);
        if (!form.isSound()) {
            return board.refused(form, csv, words, page);
        }
        stays.keep(name, new Climate(List.copyOf(months.values())));
        flash.addFlashAttribute("told", words.text("storage.place.kept", name));
        return "redirect:/storage";
    }

    private static NavigableMap<Integer, Climate.Month> months(String csv, TypedForm form) {
        NavigableMap<Integer, Climate.Month> months = new TreeMap<>();
        CsvProblems problems = new CsvProblems();
        CsvFile.read(new StringReader(csv), COLUMNS, COLUMNS, problems, row -> keep(row, months));
        problems.tell(form, "months");
        if (problems.count() == 0) {
            IntStream.rangeClosed(1, MONTHS)
                    .filter(month -> !months.containsKey(month))
                    .findFirst()
                    .ifPresent(month -> form.fault("months", "storage.month-missing", month));
        }
        return months;
    }

    private static void keep(CsvRow row, Map<Integer, Climate.Month> months) {
        int month = row.whole("month", 1, MONTHS);
        double mean = row.number("mean_c", COLDEST_MEAN, HOTTEST_MEAN).orElse(0);
        double coldest = row.number("coldest_c", COLDEST, mean).orElse(mean);
        if (row.isSound()) {
            months.put(month, new Climate.Month(mean, coldest));
        }
    }
}
