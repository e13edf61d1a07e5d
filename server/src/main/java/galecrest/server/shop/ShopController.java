package galecrest.server.shop;

import galecrest.server.AddedResponse;
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

    @GetMapping("/shop")
    ShopRequest shop() {
        return shop.shop();
    }

    @PutMapping("/shop")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@RequestBody ShopRequest form) {
        shop.change(form);
    }

    @PostMapping("/stations")
    AddedResponse add(@RequestBody StationRequest form) {
        return new AddedResponse(shop.addStation(form));
    }

    @PutMapping("/stations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void change(@PathVariable String id, @RequestBody StationRequest form) {
        shop.changeStation(id, form);
    }

    @DeleteMapping("/stations/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String id) {
        shop.removeStation(id);
    }
}
