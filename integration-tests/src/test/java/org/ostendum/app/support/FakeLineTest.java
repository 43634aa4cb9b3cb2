package org.ostendum.app.support;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.ostendum.app.Ostendum;
import org.ostendum.app.device.FakeEquipment;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ContextConfiguration;

/** A small site at equipment in the test's own process, on a database of its own; one for all such tests of a fork. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(
        classes = Ostendum.class,
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            // Only said on pages: the test is faster than that.
            "ostendum.clock.speed=60",
            "ostendum.devices.hands=true",
            "ostendum.devices.listen=false",
            "ostendum.devices.every=60s",
            "ostendum.live.beat=1s"
        })
@ContextConfiguration(initializers = EmptyDatabase.class)
@Import({EquipmentSite.class, FakeEquipment.InsteadOfTheLine.class})
public @interface FakeLineTest {}
