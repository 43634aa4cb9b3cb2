package org.ostendum.app.planted;

import org.ostendum.core.state.BatteryFold;

record Folds(BatteryFold fold) {}
