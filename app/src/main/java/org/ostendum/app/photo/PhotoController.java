package org.ostendum.app.photo;

import java.time.Duration;
import org.ostendum.app.page.NotFound;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Shows a picture, whole or small. */
@Controller
class PhotoController {
    private final Photos photos;

    PhotoController(Photos photos) {
        this.photos = photos;
    }

    @GetMapping("/photos/{id}")
    ResponseEntity<byte[]> picture(@PathVariable long id, @RequestParam(defaultValue = "false") boolean small) {
        Photos.Image image = photos.image(id, small).orElseThrow(() -> new NotFound("photo " + id));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(image.mediaType()))
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .header("Content-Disposition", "inline")
                .body(image.bytes());
    }
}
