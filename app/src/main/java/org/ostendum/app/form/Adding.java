package org.ostendum.app.form;

import jakarta.validation.groups.Default;

/** Checked besides the rest where a form makes something new, such as the code it will go by. */
public interface Adding extends Default {}
