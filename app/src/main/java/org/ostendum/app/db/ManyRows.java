package org.ostendum.app.db;

import java.util.Collection;
import java.util.List;
import java.util.stream.IntStream;
import org.jooq.BatchBindStep;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Table;

/** Rows of one table written with one statement that is built once: a record by itself builds it anew for each. */
public final class ManyRows {
    private ManyRows() {}

    /** @param rows what is set in none of them is left to the table */
    public static <R extends Record> void insert(DSLContext sql, Table<R> table, Collection<? extends R> rows) {
        if (rows.isEmpty()) {
            return;
        }
        R first = rows.iterator().next();
        List<Field<?>> fields = IntStream.range(0, first.size())
                .filter(i -> rows.stream().anyMatch(r -> r.get(i) != null))
                .<Field<?>>mapToObj(first::field)
                .toList();
        BatchBindStep batch = sql.batch(sql.insertInto(table, fields).values(new Object[fields.size()]));
        for (R row : rows) {
            batch = batch.bind(fields.stream().map(row::get).toArray());
        }
        batch.execute();
    }
}
