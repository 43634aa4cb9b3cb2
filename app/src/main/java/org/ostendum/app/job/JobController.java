package org.ostendum.app.job;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.form.Faults;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.photo.PhotoTaking;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.procedure.Answer;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.ostendum.core.procedure.RunEvent;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Running a job, one step at a time on one screen. */
@Controller
class JobController {
    private static final int LONGEST_KEY = 80;

    private final JobViews views;
    private final JobRunning running;
    private final ChargedNext chargedNext;
    private final PhotoTaking photos;

    JobController(JobViews views, JobRunning running, ChargedNext chargedNext, PhotoTaking photos) {
        this.views = views;
        this.running = running;
        this.chargedNext = chargedNext;
        this.photos = photos;
    }

    @GetMapping("/jobs/{job}")
    String job(Job job, Person person, Words words, Model page) {
        return show(job, Faults.NONE, Map.of(), person, words, page);
    }

    private String show(Job job, Faults faults, Map<String, String> typed, Person person, Words words, Model page) {
        page.addAttribute("place", "jobs");
        page.addAttribute("view", views.view(job, person, words));
        page.addAttribute("faults", faults);
        page.addAttribute("typed", typed);
        page.addAttribute("key", UUID.randomUUID().toString());
        return "job/job";
    }

    /** @param fields the form as typed */
    @PostMapping("/jobs/{job}/{kind}")
    Object say(
            Job job,
            @PathVariable String kind,
            @RequestParam Map<String, String> fields,
            Person person,
            Words words,
            Model page,
            RedirectAttributes flash) {
        JobInput said = new JobInput(key(fields.get("key")), kind(kind), fields.getOrDefault("about", ""), fields);
        Answer answer = running.take(job.id(), said, person, words);
        if (answer instanceof Answer.Refused refused) {
            return Faults.page(
                    HttpStatus.UNPROCESSABLE_CONTENT, show(job, refused.faults(), fields, person, words, page), page);
        } else if (answer instanceof Answer.Overtaken overtaken) {
            flash.addFlashAttribute("fault", overtaken.how());
            flash.addFlashAttribute("lost", said.value());
        } else if (said.kind() == RunEvent.Kind.DONE) {
            chargedNext.after(job, said.about(), person);
        }
        return "redirect:/jobs/" + job.id();
    }

    /** A key that is none, or longer than any page of ours sends, counts as a form sent for the first time. */
    private static String key(@Nullable String sent) {
        return sent == null || sent.isBlank() || sent.length() > LONGEST_KEY
                ? UUID.randomUUID().toString()
                : sent;
    }

    private static RunEvent.Kind kind(String name) {
        return switch (name) {
            case "done" -> RunEvent.Kind.DONE;
            case "skip" -> RunEvent.Kind.SKIPPED;
            case "back" -> RunEvent.Kind.TAKEN_BACK;
            case "timer" -> RunEvent.Kind.TIMER_STARTED;
            case "row" -> RunEvent.Kind.ROW;
            case "pause" -> RunEvent.Kind.PAUSED;
            case "resume" -> RunEvent.Kind.RESUMED;
            case "hand-over" -> RunEvent.Kind.HANDED_OVER;
            case "stop" -> RunEvent.Kind.STOPPED;
            case "finish" -> RunEvent.Kind.FINISHED;
            default -> throw new NotFound("job action " + name);
        };
    }

    @PostMapping(path = "/jobs/{job}/photos", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    Object photo(Job job, @RequestParam List<MultipartFile> photo, Person person, Words words, RedirectAttributes flash)
            throws IOException {
        List<String> faults = job.isOpen()
                ? photos.take(new Photos.Of(Photos.Subject.JOB, job.id()), photo, person, words)
                : List.of(words.text("photo.fault.ended"));
        if (!faults.isEmpty()) {
            flash.addFlashAttribute("fault", String.join(" ", faults));
        }
        return "redirect:/jobs/" + job.id();
    }
}
