package org.ostendum.demo;

import java.time.Clock;
import java.util.List;
import org.springframework.beans.factory.config.AutowireCapableBeanFactory;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.beans.factory.support.RootBeanDefinition;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.support.GenericApplicationContext;

/**
 * What the demo adds to the application. It is told one by one and not looked for: the application's own beans are worked out
 * when it is built, and what is added to them comes afterwards.
 */
public final class DemoBeans implements ApplicationContextInitializer<GenericApplicationContext> {
    private static final List<Class<?>> ALL = List.of(
            DemoAircraft.class,
            DemoCapacity.class,
            DemoComplaint.class,
            DemoData.class,
            DemoDevices.class,
            DemoFloor.class,
            DemoJobs.class,
            DemoLastDays.class,
            DemoLifting.class,
            DemoNewcomer.class,
            DemoFlatCar.class,
            DemoPlan.class,
            DemoRepairs.class,
            DemoSafety.class,
            DemoSite.class,
            DemoStorage.class,
            DemoSurroundings.class,
            DemoYear.class);

    @Override
    public void initialize(GenericApplicationContext context) {
        context.registerBean(
                DemoClock.class, () -> new DemoClock(context.getBean("clock", Clock.class)), DemoBeans::first);
        for (Class<?> bean : ALL) {
            context.registerBeanDefinition(
                    bean.getName(),
                    new RootBeanDefinition(bean, AutowireCapableBeanFactory.AUTOWIRE_CONSTRUCTOR, false));
        }
    }

    private static void first(BeanDefinition clock) {
        clock.setPrimary(true);
    }
}
