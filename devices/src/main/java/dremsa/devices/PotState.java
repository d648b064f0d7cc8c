package dremsa.devices;

import java.util.List;

/**
 * The pot that the devices are in, as the bench tells it.
 *
 * @param formulaId of a built-in formula; for another one the first of its method stands in
 * @param method of the formula
 * @param scale of the batch
 * @param stepMinutes how long each step lasted that is over
 * @param elapsedMinutes of the present step, when this was told
 */
public record PotState(
    String formulaId,
    String method,
    double scale,
    List<Double> stepMinutes,
    double elapsedMinutes) {}
