package org.ostendum.app.planted;

import org.ostendum.sim.Site;

record KnowsSimulation(Site site) {}
