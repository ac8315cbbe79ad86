package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.door.Visitors;
import embrack.app.frame.Echo;
import embrack.app.frame.Refusals;
import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.Accounts;
import embrack.app.store.crew.Tries;
import embrack.core.edit.Refused;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, with a password or with a recovery code, and out. */
@Controller
class SignInController {

    private static final String WRONG = "That name and password do not belong together.";

    private final Accounts accounts;
    private final Tries tries;
    private final Visitors visitors;

    SignInController(Accounts accounts, Tries tries, Visitors visitors) {
        this.accounts = accounts;
        this.tries = tries;
        this.visitors = visitors;
    }

    @GetMapping("/sign-in")
    String signIn(@RequestParam(defaultValue = "") String to, Entry entry, Model page) {
        if (entry.isAlone()) {
            return "redirect:/";
        }
        return asked("", to, "", page);
    }

    @PostMapping("/sign-in")
    String enter(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "") String to,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        Duration wait = tries.begin(name, request.getRemoteAddr());
        if (wait.isPositive()) {
            return asked(name, to, tooMany(wait, response), page);
        }
        Optional<AccountId> account = accounts.known(name, password);
        if (account.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return asked(name, to, WRONG, page);
        }
        tries.right(name, request.getRemoteAddr());
        visitors.signIn(account.get(), request, response);
        return "redirect:" + WayIn.to(to);
    }

    @GetMapping("/sign-in/code")
    String code(Model page) {
        return recovering(Echo.NONE, page);
    }

    /** Another password, by a recovery code. */
    @PostMapping("/sign-in/code")
    String recover(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model page) {
        Duration wait = tries.begin(name, request.getRemoteAddr());
        if (wait.isPositive()) {
            page.addAttribute("problem", tooMany(wait, response));
            return recovering(Echo.NONE, page);
        }
        AccountId account = accounts.recover(name, code, password);
        tries.right(name, request.getRemoteAddr());
        visitors.endAll(account);
        visitors.signIn(account, request, response);
        return "redirect:/account";
    }

    @PostMapping("/sign-out")
    String leave(HttpServletRequest request, HttpServletResponse response) {
        visitors.signOut(request, response);
        // What this browser keeps of rigs, typed and not sent or to be read without the server, goes with whoever goes.
        response.setHeader("Clear-Site-Data", "\"cache\", \"storage\"");
        return "redirect:/sign-in";
    }

    @ExceptionHandler
    String refused(Refused refused, HttpServletRequest request, HttpServletResponse response, Model page) {
        return recovering(Refusals.answer(refused, request, response), page);
    }

    private static String tooMany(Duration wait, HttpServletResponse response) {
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        response.setHeader(HttpHeaders.RETRY_AFTER, String.valueOf(wait.toSeconds()));
        return "Too many wrong tries. Wait %d seconds, then try again.".formatted(wait.toSeconds());
    }

    private static String asked(String name, String to, String problem, Model page) {
        page.addAttribute("name", name).addAttribute("to", WayIn.to(to)).addAttribute("problem", problem);
        return "crew/sign-in";
    }

    private static String recovering(Echo echo, Model page) {
        page.addAttribute("echo", echo);
        return "crew/recover";
    }
}
