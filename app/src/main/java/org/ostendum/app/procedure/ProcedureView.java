package org.ostendum.app.procedure;

import java.util.List;
import org.ostendum.core.procedure.GateKey;
import org.ostendum.core.procedure.Procedure;

/**
 * What the page of a procedure shows.
 *
 * @param additions of the site to it, those ended among them
 * @param gates that could be added to it
 */
record ProcedureView(
        Procedure procedure,
        List<ProcedureAddition> additions,
        List<ProcedureAddition.Kind> kinds,
        List<GateKey> gates) {}
