package org.ostendum.core.planted;

import org.springframework.ui.Model;

record KnowsSpring(Model page) {}
