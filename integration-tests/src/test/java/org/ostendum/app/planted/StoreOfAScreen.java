package org.ostendum.app.planted;

import org.ostendum.app.words.Words;
import org.springframework.stereotype.Repository;

/** Abstract, so that no application finds it. */
@Repository
abstract class StoreOfAScreen {
    abstract Words words();
}
