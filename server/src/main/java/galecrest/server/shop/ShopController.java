package galecrest.server.shop;

import galecrest.core.shop.TieBreak;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
class ShopController {
    private final ShopService shop;

    ShopController(ShopService shop) {
        this.shop = shop;
    }

    record ClosureForm(LocalDate from, LocalDate to, String reason) {}

    record StationForm(String name, String kind, List<ClosureForm> closures, int version) {}

    /** The shop's name, time zone and house rules; see {@link galecrest.core.shop.HouseRules}. */
    record ShopForm(
            String name,
            String zone,
            double atRiskStart,
            double toldOtherwise,
            double carInBits,
            double finishDay,
            int unknownArrivalDays,
            int frozenDays,
            int bufferHours,
            TieBreak tieBreak,
            double returnWrong,
            int stayOnMinutes,
            int version) {}

    record AddedStation(String id) {}

    @GetMapping("/shop")
    ShopForm shop() {
        return shop.shop();
    }

    @PutMapping("/shop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@RequestBody ShopForm form) {
        shop.change(form);
    }

    @PostMapping("/stations")
    AddedStation add(@RequestBody StationForm form) {
        return new AddedStation(shop.addStation(form));
    }

    @PutMapping("/stations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody StationForm form) {
        shop.changeStation(id, form);
    }

    @DeleteMapping("/stations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        shop.removeStation(id);
    }
}
