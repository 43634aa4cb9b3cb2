package org.ostendum.app.planted;

import org.springframework.stereotype.Controller;

/** Abstract, so that no application finds it. */
@Controller
abstract class AnswersRequests {}
