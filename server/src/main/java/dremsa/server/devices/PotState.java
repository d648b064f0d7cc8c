package dremsa.server.devices;

import java.util.List;

/**
 * Which pot a reading is of. A real device needs none of it; the stand-in simulates this pot.
 *
 * @param scale of the batch
 * @param stepMinutes how long each step lasted that is over
 * @param elapsedMinutes of the present step
 */
public record PotState(
    String formulaId,
    String method,
    double scale,
    List<Double> stepMinutes,
    double elapsedMinutes) {}
