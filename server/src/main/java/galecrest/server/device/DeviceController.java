package galecrest.server.device;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What instruments say now. */
@RestController
@RequestMapping("/api/devices/{kind}")
class DeviceController {
    private final DeviceService devices;

    DeviceController(DeviceService devices) {
        this.devices = devices;
    }

    @GetMapping
    DeviceResponse now(@PathVariable String kind) {
        return devices.now(kind);
    }

    /** Nulls it, with nothing on it. */
    @PostMapping("/zero")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void zero(@PathVariable String kind) {
        devices.zero(kind);
    }

    @PostMapping("/simulate")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void simulate(@PathVariable String kind, @RequestBody SimulateRequest form) {
        devices.simulate(kind, form.what());
    }
}
