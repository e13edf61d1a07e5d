package galecrest.server.stock;

import galecrest.server.AddedResponse;
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

/** The supply run and the shelf. */
@RestController
@RequestMapping("/api")
class StockController {
    private final StockService stock;

    StockController(StockService stock) {
        this.stock = stock;
    }

    @GetMapping("/supplies")
    List<SupplyResponse> supplies() {
        return stock.run();
    }

    @PostMapping("/supplies")
    AddedResponse ask(@RequestBody SupplyRequest form) {
        return new AddedResponse(stock.ask(form));
    }

    /** Ticks one off, or back on. */
    @PostMapping("/supplies/{id}/bought")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void bought(@PathVariable String id, @RequestBody BoughtRequest form) {
        stock.bought(id, form.bought());
    }

    @DeleteMapping("/supplies/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeSupply(@PathVariable String id) {
        stock.remove(id);
    }

    @PostMapping("/shelf")
    AddedResponse addToShelf(@RequestBody ShelfRequest form) {
        return new AddedResponse(stock.addToShelf(form));
    }

    /** What a job puts on the shelf once it is done. */
    @GetMapping("/works/{id}/yield")
    YieldResponse yieldOf(@PathVariable String id) {
        return stock.yieldOf(id);
    }

    @PutMapping("/works/{id}/yield")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void yields(@PathVariable String id, @RequestBody YieldRequest form) {
        stock.yields(id, form);
    }

    @PutMapping("/shelf/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeShelf(@PathVariable String id, @RequestBody ShelfRequest form) {
        stock.changeShelf(id, form);
    }

    /** Takes a part line from the shelf: it is reserved, and here. */
    @PostMapping("/parts/{id}/take")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void take(@PathVariable String id, @RequestBody TakeRequest form) {
        stock.take(id, form.shelfId());
    }
}
