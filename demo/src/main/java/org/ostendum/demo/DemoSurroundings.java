package org.ostendum.demo;

import org.ostendum.app.inventory.Rooms;
import org.ostendum.demo.DemoSite.Known;

/** What is not of one battery: stations and trainings before the year, and the jobs and devices of today after it. */
class DemoSurroundings {
    private final Rooms rooms;
    private final DemoSafety safety;
    private final DemoLifting lifting;
    private final DemoRepairs repairs;
    private final DemoJobs jobs;
    private final DemoDevices devices;
    private final DemoNewcomer newcomer;
    private final DemoFlatCar flatCar;
    private final DemoComplaint complaint;
    private final DemoCapacity capacity;
    private final DemoStorage storage;
    private final DemoAircraft aircraft;
    private final DemoPlan plan;

    DemoSurroundings(
            Rooms rooms,
            DemoSafety safety,
            DemoLifting lifting,
            DemoRepairs repairs,
            DemoJobs jobs,
            DemoDevices devices,
            DemoNewcomer newcomer,
            DemoFlatCar flatCar,
            DemoComplaint complaint,
            DemoCapacity capacity,
            DemoStorage storage,
            DemoAircraft aircraft,
            DemoPlan plan) {
        this.rooms = rooms;
        this.safety = safety;
        this.lifting = lifting;
        this.repairs = repairs;
        this.jobs = jobs;
        this.devices = devices;
        this.newcomer = newcomer;
        this.flatCar = flatCar;
        this.complaint = complaint;
        this.capacity = capacity;
        this.storage = storage;
        this.aircraft = aircraft;
        this.plan = plan;
    }

    void beforeTheYear(Known known) {
        plan.limitPower(known.persons());
        safety.fill(room(), known.persons());
    }

    void afterTheYear(Known known) {
        newcomer.add(known.persons(), known.models());
        flatCar.found(known.persons());
        repairs.fill();
        complaint.fill();
        storage.fill();
        capacity.fill();
        aircraft.fill();
        lifting.fill(known.models());
        jobs.fill();
        safety.refill(room(), known.persons());
        devices.fill();
        plan.fill(known.persons());
    }

    /** With everything in place, as of now. */
    void plan(Known known) {
        plan.plan(known.persons());
    }

    private long room() {
        return rooms.names().get(0).id();
    }
}
