package org.ostendum.app.planted;

import org.ostendum.standins.Registers;

record KnowsStandIn(Registers registers) {}
