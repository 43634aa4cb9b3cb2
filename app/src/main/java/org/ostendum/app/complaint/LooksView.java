package org.ostendum.app.complaint;

import java.util.List;
import java.util.Map;
import org.ostendum.core.complaint.Cause;
import org.ostendum.core.complaint.Look;
import org.ostendum.core.complaint.WorkUpTable;

/**
 * What the page of what a look shows with each cause shows.
 *
 * @param of the look that is seen
 * @param own as the site has found it
 * @param shipped as it came
 * @param reasons the site's own for what it has found otherwise
 */
record LooksView(
        Look of,
        List<Look> looks,
        List<Cause> causes,
        WorkUpTable own,
        WorkUpTable shipped,
        Map<Cause, String> reasons) {}
