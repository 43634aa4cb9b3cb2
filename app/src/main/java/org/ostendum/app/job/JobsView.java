package org.ostendum.app.job;

import java.util.List;
import java.util.Map;
import org.ostendum.app.capacity.CapacityTest;
import org.ostendum.app.complaint.Complaints.Said;
import org.ostendum.app.defect.Defects;
import org.ostendum.app.incident.Incident;
import org.ostendum.app.photo.Photos.PhotoName;
import org.ostendum.core.procedure.Timer;

/**
 * Everything of the site that somebody is at or has to be at.
 *
 * @param titles of the procedures in the language of who looks, by their ids
 * @param open jobs under way
 * @param timers the clocks that run at the step where each of them stands, by its id
 * @param ended the last jobs that were
 * @param overrides gates gone through that no lead has seen yet
 * @param pictures of the defects, by their ids
 * @param recurring what came back on a machine
 * @param complaints whose cause is not found yet
 * @param tests of capacity under way
 */
record JobsView(
        Map<String, String> titles,
        List<Job> open,
        Map<Long, Timer> timers,
        List<Job> ended,
        List<Overrides.Overridden> overrides,
        List<Defects.Defect> defects,
        Map<Long, List<PhotoName>> pictures,
        List<Defects.Recurring> recurring,
        List<Said> complaints,
        List<CapacityTest> tests,
        List<Incident> incidents) {}
