package org.ostendum.app.room;

import java.util.List;
import org.ostendum.app.draw.Box;
import org.ostendum.core.room.RoomPlan.StandKind;

/** A stand of the plan as drawn. */
public record StandDrawing(String name, StandKind kind, Box box, List<Tile> tiles) {}
