/** What the site has: models, batteries, machines, and the rooms with their stands, slots and chargers. */
@NullMarked
package org.ostendum.app.inventory;

import org.jspecify.annotations.NullMarked;
