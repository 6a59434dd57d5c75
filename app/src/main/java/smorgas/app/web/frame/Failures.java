package smorgas.app.web.frame;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.NoSuchElementException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;

/** Turns what went wrong into a page with one sentence and a way back. */
@ControllerAdvice
class Failures {

    private static final Logger LOG = LoggerFactory.getLogger(Failures.class);

    private final String largest;

    Failures(@Value("${spring.servlet.multipart.max-file-size}") String largest) {
        this.largest = largest;
    }

    @ExceptionHandler(NoSuchElementException.class)
    String missing(NoSuchElementException fault, Model model, HttpServletResponse response) {
        return page(model, response, HttpStatus.NOT_FOUND, fault.getMessage() + ". It may be in the bin, or deleted.");
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    String tooLarge(Model model, HttpServletResponse response) {
        return page(
                model,
                response,
                HttpStatus.CONTENT_TOO_LARGE,
                "A file is larger than " + largest + ", so nothing of this drop was gathered. Split the file, or start"
                        + " Smorgas with a larger spring.servlet.multipart.max-file-size.");
    }

    @ExceptionHandler({
        org.springframework.web.method.annotation.MethodArgumentTypeMismatchException.class,
        org.springframework.web.bind.MissingServletRequestParameterException.class,
        IllegalArgumentException.class
    })
    String notUnderstood(Exception fault, Model model, HttpServletResponse response) {
        LOG.debug("refused", fault);
        return page(
                model, response, HttpStatus.BAD_REQUEST, "This address or form is not one that Smorgas understands.");
    }

    @ExceptionHandler(DataAccessException.class)
    String notStored(DataAccessException fault, HttpServletRequest request, Model model, HttpServletResponse response) {
        LOG.error("{} {} was not stored", request.getMethod(), request.getRequestURI(), fault);
        return page(
                model,
                response,
                HttpStatus.INSUFFICIENT_STORAGE,
                "This was not saved: the database could not write. Check that the disk has room, then do it again;"
                        + " everything acknowledged before is safe.");
    }

    private static String page(Model model, HttpServletResponse response, HttpStatus status, String sentence) {
        response.setStatus(status.value());
        model.addAttribute("sentence", sentence);
        return "frame/failure";
    }
}
