package dremsa.server.devices;

import dremsa.server.http.Problem;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/devices")
class DeviceController {
  private final Devices devices;

  DeviceController(Devices devices) {
    this.devices = devices;
  }

  /**
   * The devices of the kitchen.
   *
   * @param problem why there are none; empty when they answer
   */
  record DeviceTable(List<Devices.Device> devices, String problem) {}

  @GetMapping
  DeviceTable list() {
    try {
      return new DeviceTable(devices.list(), "");
    } catch (DeviceException e) {
      return new DeviceTable(List.of(), Problem.why(e));
    }
  }
}
