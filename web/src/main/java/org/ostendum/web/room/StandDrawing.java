package org.ostendum.web.room;

import java.util.List;
import org.ostendum.web.draw.Box;
import org.ostendum.web.store.RoomPlan.StandKind;

/** A stand of the plan as drawn. */
public record StandDrawing(String name, StandKind kind, Box box, List<Tile> tiles) {}
