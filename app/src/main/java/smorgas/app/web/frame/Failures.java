package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.UncheckedIOException;
import java.util.NoSuchElementException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MultipartException;
import smorgas.app.store.DiskSpace;
import smorgas.app.web.show.Shown;
import smorgas.app.work.Memory;
import smorgas.app.work.Missing;
import smorgas.core.text.Message;
import smorgas.core.text.Refusal;

/**
 * Turns what went wrong into a page with one sentence and a way back. What nobody expects is not here: it is answered 500 and
 * logged with its cause.
 */
@ControllerAdvice
class Failures {

    private static final Logger LOG = LoggerFactory.getLogger(Failures.class);

    private final String largestFile;
    private final String largestDrop;
    private final String mostFiles;
    private final DiskSpace room;
    private final Frames frames;

    Failures(
            @Value("${spring.servlet.multipart.max-file-size}") String largestFile,
            @Value("${spring.servlet.multipart.max-request-size}") String largestDrop,
            @Value("${server.tomcat.max-part-count}") String mostFiles,
            DiskSpace room,
            Frames frames) {
        this.frames = frames;
        this.largestFile = largestFile;
        this.largestDrop = largestDrop;
        this.mostFiles = mostFiles;
        this.room = room;
    }

    /** No fault at all: what is asked for takes longer than a page is waited for. */
    @ExceptionHandler(GroupsPending.class)
    String pending(GroupsPending pending, Model model) {
        return frames.waiting(pending, model);
    }

    @ExceptionHandler(NoSuchElementException.class)
    String missing(NoSuchElementException fault, Model model, HttpServletResponse response) {
        return page(
                model,
                response,
                HttpStatus.NOT_FOUND,
                fault instanceof Missing missing
                        ? Message.of("frame.failures.may-bin-deleted", missing.message())
                        : Message.of("frame.failures.missing"));
    }

    /** An upload that could not be taken, with the bound that it passed. */
    @ExceptionHandler(MultipartException.class)
    String notTaken(MultipartException fault, Model model, HttpServletResponse response) {
        LOG.debug("not taken", fault);
        Throwable cause = fault;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        String kind = cause.getClass().getSimpleName();
        Message setting = Message.of("frame.failures.start-smorgas-larger");
        if (kind.equals("FileSizeLimitExceededException")) {
            return tooMuch(model, response, Message.of("frame.failures.file-larger-than-split", largestFile, setting));
        } else if (kind.equals("SizeLimitExceededException") || cause instanceof IllegalStateException) {
            return tooMuch(
                    model, response, Message.of("frame.failures.files-larger-than-together", largestDrop, setting));
        } else if (kind.equals("FileCountLimitExceededException")) {
            return tooMuch(model, response, Message.of("frame.failures.more-than-files-drop", mostFiles));
        }
        return page(model, response, HttpStatus.BAD_REQUEST, Message.of("frame.failures.upload-broke-off-cannot"));
    }

    private static String tooMuch(Model model, HttpServletResponse response, Message sentence) {
        return page(
                model,
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                Message.of("frame.failures.nothing-drop-gathered", sentence));
    }

    @ExceptionHandler({
        org.springframework.web.method.annotation.MethodArgumentTypeMismatchException.class,
        org.springframework.web.bind.MethodArgumentNotValidException.class,
        org.springframework.web.bind.ServletRequestBindingException.class,
        org.springframework.web.multipart.support.MissingServletRequestPartException.class
    })
    String notUnderstood(Exception fault, Model model, HttpServletResponse response) {
        LOG.debug("refused", fault);
        return page(model, response, HttpStatus.BAD_REQUEST, Message.of("frame.failures.address-form-one-smorgas"));
    }

    /** What was asked for cannot be, for a reason of the job. */
    @ExceptionHandler(Refusal.class)
    String refused(Refusal fault, Model model, HttpServletResponse response) {
        LOG.debug("refused", fault);
        return page(model, response, HttpStatus.BAD_REQUEST, Message.of("sentence", fault.message()));
    }

    /** There is too little memory for what was asked for, or others have it at the moment. */
    @ExceptionHandler(Memory.TooLittle.class)
    String noMemory(Memory.TooLittle fault, Model model, HttpServletResponse response) {
        if (fault.passing()) {
            response.setHeader("Retry-After", "30");
        }
        return page(
                model,
                response,
                fault.passing() ? HttpStatus.SERVICE_UNAVAILABLE : HttpStatus.INSUFFICIENT_STORAGE,
                fault.sentence());
    }

    @ExceptionHandler(DiskSpace.None.class)
    String noRoom(DiskSpace.None fault, Model model, HttpServletResponse response) {
        return page(model, response, HttpStatus.INSUFFICIENT_STORAGE, fault.sentence());
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class, UncheckedIOException.class})
    String notStored(RuntimeException fault, HttpServletRequest request, Model model, HttpServletResponse response) {
        LOG.error("{} {}: the database failed", request.getMethod(), request.getRequestURI(), fault);
        Message why = room.enough() && !toldFull(fault)
                ? Message.of("frame.failures.database-failed-window-which")
                : Message.of("frame.failures.disk-full");
        return page(
                model,
                response,
                HttpStatus.INSUFFICIENT_STORAGE,
                Message.of("frame.failures.sure-saved-open-page", why));
    }

    private static boolean toldFull(Throwable fault) {
        for (Throwable cause = fault; cause != null && cause.getCause() != cause; cause = cause.getCause()) {
            String message = String.valueOf(cause.getMessage());
            // The second is told where files may not be larger, such as by a quota.
            if (message.contains("No space left") || message.contains("File too large")) {
                return true;
            }
        }
        return false;
    }

    /** What went wrong, in a sentence or some. */
    record Failure(Message sentence) {}

    private static String page(Model model, HttpServletResponse response, HttpStatus status, Message sentence) {
        response.setStatus(status.value());
        Shown.in(model, new Failure(sentence));
        return "frame/failure";
    }
}
