package dremsa.server.tables;

import dremsa.server.accounts.Households;
import dremsa.server.accounts.Member;
import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Long tables, read in while one does something else. */
@RestController
class ImportController {
  private final TableImports imports;
  private final Households households;

  ImportController(TableImports imports, Households households) {
    this.imports = imports;
    this.households = households;
  }

  @Operation(summary = "The table that was read in last, if it still shows: none or one")
  @GetMapping("/api/imports")
  List<TableImports.ImportView> last(@AuthenticationPrincipal Member member) {
    return imports.of(member.household()).stream().toList();
  }

  @Operation(
      summary = "Look a table through in the background; nothing is kept yet",
      description =
          "The columns are those that the table is written out with, in any order; commas,"
              + " semicolons or tabs between them. A line that stands there already is passed over.")
  @PostMapping(path = "/api/imports", consumes = "text/csv")
  @ResponseStatus(HttpStatus.CREATED)
  @Transactional
  TableImports.ImportView begin(
      @AuthenticationPrincipal Member member,
      @RequestParam String table,
      @RequestBody byte[] file) {
    return imports.begin(
        member.household(), table, CsvText.decode(file), households.now(member.household()));
  }

  @Operation(summary = "Take in what was looked through, or go on after a stop")
  @PostMapping("/api/imports/{id}/take")
  @Transactional
  TableImports.ImportView take(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return imports.take(member.household(), id);
  }

  @Operation(summary = "Stop; what was taken in stays")
  @PostMapping("/api/imports/{id}/stop")
  @Transactional
  TableImports.ImportView stop(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    return imports.stop(member.household(), id);
  }

  @Operation(summary = "Put it out of sight; what was taken in stays")
  @DeleteMapping("/api/imports/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  @Transactional
  void forget(@AuthenticationPrincipal Member member, @PathVariable UUID id) {
    imports.forget(member.household(), id);
  }
}
