package dremsa.server.learning;

import dremsa.server.accounts.Member;
import dremsa.server.learning.CalibrationJson.BatchChoice;
import dremsa.server.learning.CalibrationJson.CalibrationView;
import dremsa.server.learning.CalibrationJson.FigureChoice;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What a kitchen taught. */
@RestController
@Tag(name = "Learning")
class CalibrationController {
  private final Calibrations calibrations;

  CalibrationController(Calibrations calibrations) {
    this.calibrations = calibrations;
  }

  @Operation(summary = "What the kitchen taught, from which batches, and how they were foretold")
  @GetMapping("/api/calibration")
  CalibrationView calibration(@AuthenticationPrincipal Member member) {
    return calibrations.view(member.household());
  }

  @Operation(summary = "Calibrate anew, in the background")
  @PostMapping("/api/calibration")
  @ResponseStatus(HttpStatus.ACCEPTED)
  CalibrationView ask(@AuthenticationPrincipal Member member) {
    calibrations.ask(member.household());
    return calibrations.view(member.household());
  }

  @Operation(summary = "Use a learned figure, or put it back")
  @PutMapping("/api/calibration/figures")
  CalibrationView choose(
      @AuthenticationPrincipal Member member, @Valid @RequestBody FigureChoice choice) {
    calibrations.choose(member.household(), choice.knob(), choice.inUse());
    return calibrations.view(member.household());
  }

  @Operation(summary = "Let a batch count, or leave it out; calibrates anew")
  @PutMapping("/api/calibration/batches/{id}")
  CalibrationView choose(
      @AuthenticationPrincipal Member member,
      @PathVariable UUID id,
      @Valid @RequestBody BatchChoice choice) {
    calibrations.choose(member.household(), id, choice.counts());
    return calibrations.view(member.household());
  }
}
