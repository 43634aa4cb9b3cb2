package org.ostendum.app.round;

import java.io.IOException;
import java.util.List;
import org.ostendum.app.inventory.Battery;
import org.ostendum.app.page.NotFound;
import org.ostendum.app.photo.PhotoTaking;
import org.ostendum.app.photo.Photos;
import org.ostendum.app.state.ClosedRound;
import org.ostendum.app.state.Rounds;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Pictures of what was seen at a round: a colour, a level, a plate. */
@Controller
class RoundPhotoController {
    private final Rounds rounds;
    private final PhotoTaking photos;

    RoundPhotoController(Rounds rounds, PhotoTaking photos) {
        this.rounds = rounds;
        this.photos = photos;
    }

    @PostMapping(path = "/batteries/{battery}/round-photos", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    String photo(
            Battery battery,
            @RequestParam List<MultipartFile> photo,
            Person person,
            Words words,
            RedirectAttributes flash)
            throws IOException {
        List<ClosedRound> last = rounds.history(battery.id(), 1);
        if (last.isEmpty()) {
            throw new NotFound("round of " + battery.code());
        }
        Photos.Of round = new Photos.Of(Photos.Subject.ROUND, last.get(0).id());
        List<String> faults = photos.take(round, photo, person, words);
        flash.addFlashAttribute(
                "told", faults.isEmpty() ? words.text("battery.photos.kept") : String.join(" ", faults));
        return "redirect:/batteries/" + battery.code();
    }
}
