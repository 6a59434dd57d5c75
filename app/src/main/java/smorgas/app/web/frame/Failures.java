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
        return page(model, response, HttpStatus.NOT_FOUND, fault.getMessage() + ". It may be in the bin, or deleted.");
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
        String setting = "start Smorgas with a larger ";
        if (kind.equals("FileSizeLimitExceededException")) {
            return tooMuch(
                    model,
                    response,
                    "A file is larger than " + largestFile + ". Split the file, or " + setting
                            + "spring.servlet.multipart.max-file-size.");
        } else if (kind.equals("SizeLimitExceededException") || cause instanceof IllegalStateException) {
            return tooMuch(
                    model,
                    response,
                    "The files are larger than " + largestDrop
                            + " together, or what was pasted is larger than a form may be. Drop them in parts, or "
                            + setting
                            + "spring.servlet.multipart.max-request-size.");
        } else if (kind.equals("FileCountLimitExceededException")) {
            return tooMuch(
                    model,
                    response,
                    "There are more than " + mostFiles + " files. Drop them in parts, or packed in ZIP files.");
        }
        return page(
                model,
                response,
                HttpStatus.BAD_REQUEST,
                "The upload broke off or cannot be read, so nothing of it was gathered. Drop the files again; should that"
                        + " not help, give them other names.");
    }

    private static String tooMuch(Model model, HttpServletResponse response, String sentence) {
        return page(model, response, HttpStatus.CONTENT_TOO_LARGE, "Nothing of this drop was gathered. " + sentence);
    }

    @ExceptionHandler({
        org.springframework.web.method.annotation.MethodArgumentTypeMismatchException.class,
        org.springframework.web.bind.MethodArgumentNotValidException.class,
        org.springframework.web.bind.ServletRequestBindingException.class,
        org.springframework.web.multipart.support.MissingServletRequestPartException.class
    })
    String notUnderstood(Exception fault, Model model, HttpServletResponse response) {
        LOG.debug("refused", fault);
        return page(
                model, response, HttpStatus.BAD_REQUEST, "This address or form is not one that Smorgas understands.");
    }

    /** What was asked for cannot be, for a reason of the job. */
    @ExceptionHandler(Refusal.class)
    String refused(Refusal fault, Model model, HttpServletResponse response) {
        LOG.debug("refused", fault);
        return page(model, response, HttpStatus.BAD_REQUEST, fault.getMessage() + ".");
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
                String.valueOf(fault.getMessage()));
    }

    @ExceptionHandler(DiskSpace.None.class)
    String noRoom(DiskSpace.None fault, Model model, HttpServletResponse response) {
        return page(model, response, HttpStatus.INSUFFICIENT_STORAGE, fault.getMessage());
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class, UncheckedIOException.class})
    String notStored(RuntimeException fault, HttpServletRequest request, Model model, HttpServletResponse response) {
        LOG.error("{} {}: the database failed", request.getMethod(), request.getRequestURI(), fault);
        String why = room.enough() && !toldFull(fault)
                ? "The database failed; the window in which Smorgas was started says why."
                : "The disk is full.";
        return page(
                model,
                response,
                HttpStatus.INSUFFICIENT_STORAGE,
                why
                        + " It is not sure that this was saved: open the page again, it shows what is. Everything acknowledged"
                        + " before is safe, and Smorgas goes on by itself as soon as it can.");
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
    record Failure(String sentence) {}

    private static String page(Model model, HttpServletResponse response, HttpStatus status, String sentence) {
        response.setStatus(status.value());
        Shown.in(model, new Failure(sentence));
        return "frame/failure";
    }
}
