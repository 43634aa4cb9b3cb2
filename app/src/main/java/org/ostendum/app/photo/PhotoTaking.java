package org.ostendum.app.photo;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ostendum.app.words.Words;
import org.ostendum.core.people.Person;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;

/** Keeps the pictures that a person sends; of each that is refused it says why. */
@Service
public class PhotoTaking {
    private static final int MOST_PHOTOS = 12;

    private final Photos photos;

    PhotoTaking(Photos photos) {
        this.photos = photos;
    }

    /** @return what was wrong, in words; empty where all were kept, or none was chosen */
    public List<String> take(Photos.Of of, List<MultipartFile> files, Person person, Words words) throws IOException {
        List<String> faults = new ArrayList<>();
        for (MultipartFile file : files) {
            // What a browser sends for a field in which nothing was chosen.
            boolean chosen = !file.isEmpty()
                    || !String.valueOf(file.getOriginalFilename()).isEmpty();
            @Nullable String fault = chosen ? keep(of, file, person) : null;
            if (fault != null) {
                faults.add(told(fault, file, words));
            }
        }
        return faults;
    }

    private static String told(String fault, MultipartFile file, Words words) {
        return words.text(
                fault,
                UploadedPhoto.cleanName(file.getOriginalFilename()),
                UploadedPhoto.MOST_BYTES / 1024 / 1024,
                (int) (UploadedPhoto.MOST_PIXELS / 1_000_000),
                MOST_PHOTOS);
    }

    private @Nullable String keep(Photos.Of of, MultipartFile file, Person person) throws IOException {
        if (photos.count(of) >= MOST_PHOTOS) {
            return "photo.fault.many";
        }
        UploadedPhoto.Read read = UploadedPhoto.read(file.getOriginalFilename(), file.getBytes());
        if (read.photo() != null) {
            photos.keep(of, read.photo(), person.id());
        }
        return read.fault();
    }
}
