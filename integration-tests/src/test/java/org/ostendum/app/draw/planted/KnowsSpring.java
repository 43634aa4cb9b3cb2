package org.ostendum.app.draw.planted;

import org.springframework.ui.Model;

record KnowsSpring(Model page) {}
