package org.ostendum.app.inventory;

import org.ostendum.app.page.Named;
import org.ostendum.core.room.RoomPlan;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands in addresses for batteries, models, machines, rooms and chargers. */
@Configuration
class InventoryInAddress {
    @Bean
    Named<Battery> namedBattery(Batteries batteries) {
        return new Named<>(Battery.class, batteries::byCode);
    }

    @Bean
    Named<StoredModel> namedModel(Models models) {
        return Named.byId(StoredModel.class, models::byId);
    }

    @Bean
    Named<Machine> namedMachine(Machines machines) {
        return new Named<>(Machine.class, machines::byCode);
    }

    @Bean
    Named<RoomPlan> namedRoom(Rooms rooms) {
        return new Named<>(RoomPlan.class, rooms::byCode);
    }

    @Bean
    Named<RoomPlan.Charger> namedCharger(Chargers chargers) {
        return new Named<>(RoomPlan.Charger.class, chargers::byCode);
    }
}
