package smorgas.app.web.show;

import java.lang.reflect.RecordComponent;
import org.springframework.ui.Model;

/** What a page shows is a record; its template knows each component by its name. */
public final class Shown {

    private Shown() {}

    /** Puts the components of a record into a page's model. */
    public static void in(Model model, Record page) {
        for (RecordComponent component : page.getClass().getRecordComponents()) {
            try {
                component.getAccessor().setAccessible(true);
                model.addAttribute(component.getName(), component.getAccessor().invoke(page));
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException("A record tells its components", e);
            }
        }
    }
}
