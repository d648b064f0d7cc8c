package dremsa.server.http;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The addresses of screens, so that a reload or a bookmark finds its way back in. */
@Controller
class Pages {
  @GetMapping({
    "/sign-in",
    "/new-household",
    "/choose/**",
    "/brew/**",
    "/keep/**",
    "/learn/**",
    "/tray/**",
    "/kitchen/**",
    // An address that nobody knows is the page's to answer, not a form for machines.
    "/{first:(?!api$|actuator$|schemas$|assets$)[^.]+}/**"
  })
  String screen() {
    return "forward:/index.html";
  }
}
