package org.ostendum.app.complaint;

import java.util.Map;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Complaint;

/**
 * How likely each cause of a complaint is before anybody has looked.
 *
 * @param own parts as the site counts them, by cause
 * @param shipped as they come with the application
 * @param version of the table that comes with it
 * @param reasons why the site counts otherwise, by cause
 */
record CausesView(
        Complaint of, Map<Cause, Double> own, Map<Cause, Double> shipped, String version, Map<Cause, String> reasons) {
    public Complaint[] kinds() {
        return Complaint.values();
    }

    public Cause[] causes() {
        return Cause.values();
    }
}
