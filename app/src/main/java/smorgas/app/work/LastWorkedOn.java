package smorgas.app.work;

import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import smorgas.app.store.Project;
import smorgas.app.store.Projects;

/** Opens the project worked on last as soon as the server is there, for its first page is the one that is asked for next. */
@Component
class LastWorkedOn {

    private final Projects projects;
    private final Table table;

    LastWorkedOn(Projects projects, Table table) {
        this.projects = projects;
        this.table = table;
    }

    @EventListener(ApplicationReadyEvent.class)
    void open() {
        projects.all().stream()
                .filter(project -> !project.binned())
                .findFirst()
                .map(Project::id)
                .ifPresent(id -> table.openWithin(id, 0));
    }
}
