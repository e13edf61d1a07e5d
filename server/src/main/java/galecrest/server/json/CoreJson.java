package galecrest.server.json;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.annotation.Nulls;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import com.fasterxml.jackson.module.paramnames.ParameterNamesModule;
import galecrest.core.build.BuildId;
import galecrest.core.parts.PartId;
import galecrest.core.people.PersonId;
import galecrest.core.plan.Because;
import galecrest.core.rescue.Move;
import galecrest.core.shop.StationId;
import galecrest.core.time.Minutes;
import galecrest.core.vendor.VendorId;
import galecrest.core.work.CommitmentId;
import galecrest.core.work.Job;
import galecrest.core.work.LinkId;
import galecrest.core.work.Outwork;
import galecrest.core.work.Pin;
import galecrest.core.work.PinId;
import galecrest.core.work.RunningIn;
import galecrest.core.work.Work;
import galecrest.core.work.WorkId;
import java.util.List;
import java.util.Set;

/**
 * How the core's values are written as JSON: ids as strings, minutes as numbers, durations and times as ISO 8601
 * says, the kinds of work and pins told by a field {@code kind}. The core itself knows nothing of this.
 */
public final class CoreJson {
    private CoreJson() {}

    public static ObjectMapper mapper() {
        JsonMapper.Builder builder = JsonMapper.builder()
                .addModule(new Jdk8Module())
                .addModule(new JavaTimeModule())
                .addModule(new ParameterNamesModule())
                .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
                .disable(SerializationFeature.WRITE_DURATIONS_AS_TIMESTAMPS)
                .enable(SerializationFeature.INDENT_OUTPUT)
                .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .serializationInclusion(JsonInclude.Include.NON_ABSENT)
                .withConfigOverride(List.class, o -> o.setSetterInfo(JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY)))
                .withConfigOverride(Set.class, o -> o.setSetterInfo(JsonSetter.Value.forValueNulls(Nulls.AS_EMPTY)));
        for (Class<?> id : List.of(
                PersonId.class,
                StationId.class,
                VendorId.class,
                PartId.class,
                BuildId.class,
                WorkId.class,
                LinkId.class,
                CommitmentId.class,
                PinId.class)) {
            builder.addMixIn(id, TextId.class);
        }
        return builder.addMixIn(Minutes.class, Number.class)
                .addMixIn(Work.class, WorkKinds.class)
                .addMixIn(Pin.class, PinKinds.class)
                .addMixIn(Because.class, Reasons.class)
                .addMixIn(Move.class, MoveKinds.class)
                .build();
    }

    /** An id is its text. */
    private abstract static class TextId {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        TextId(String value) {}

        @JsonValue
        abstract String value();
    }

    /** Minutes are a number. */
    private abstract static class Number {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        Number(long value) {}

        @JsonValue
        abstract long value();
    }

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Job.class, name = "job"),
        @JsonSubTypes.Type(value = Outwork.class, name = "outwork"),
        @JsonSubTypes.Type(value = RunningIn.class, name = "runningIn")
    })
    private interface WorkKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Pin.ToPerson.class, name = "person"),
        @JsonSubTypes.Type(value = Pin.ToStation.class, name = "station"),
        @JsonSubTypes.Type(value = Pin.NotBefore.class, name = "notBefore"),
        @JsonSubTypes.Type(value = Pin.After.class, name = "after"),
        @JsonSubTypes.Type(value = Pin.Exactly.class, name = "exactly")
    })
    private interface PinKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "move")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Move.Expedite.class, name = "expedite"),
        @JsonSubTypes.Type(value = Move.AskEarlier.class, name = "askEarlier"),
        @JsonSubTypes.Type(value = Move.ExtraShift.class, name = "extraShift"),
        @JsonSubTypes.Type(value = Move.SecondHand.class, name = "secondHand"),
        @JsonSubTypes.Type(value = Move.StartAtRisk.class, name = "startAtRisk"),
        @JsonSubTypes.Type(value = Move.InterimFix.class, name = "interimFix"),
        @JsonSubTypes.Type(value = Move.LetFollow.class, name = "letFollow"),
        @JsonSubTypes.Type(value = Move.Park.class, name = "park"),
        @JsonSubTypes.Type(value = Move.SwapEvent.class, name = "swapEvent")
    })
    private interface MoveKinds {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "because")
    @JsonSubTypes({
        @JsonSubTypes.Type(value = Because.Nothing.class, name = "nothing"),
        @JsonSubTypes.Type(value = Because.Shift.class, name = "shift"),
        @JsonSubTypes.Type(value = Because.NotBefore.class, name = "notBefore"),
        @JsonSubTypes.Type(value = Because.Pinned.class, name = "pinned"),
        @JsonSubTypes.Type(value = Because.Told.class, name = "told"),
        @JsonSubTypes.Type(value = Because.Held.class, name = "held"),
        @JsonSubTypes.Type(value = Because.Part.class, name = "part"),
        @JsonSubTypes.Type(value = Because.After.class, name = "after"),
        @JsonSubTypes.Type(value = Because.PersonBusy.class, name = "personBusy"),
        @JsonSubTypes.Type(value = Because.AtDate.class, name = "atDate"),
        @JsonSubTypes.Type(value = Because.DoneThere.class, name = "doneThere"),
        @JsonSubTypes.Type(value = Because.PersonAway.class, name = "personAway"),
        @JsonSubTypes.Type(value = Because.StationTaken.class, name = "stationTaken"),
        @JsonSubTypes.Type(value = Because.CarElsewhere.class, name = "carElsewhere"),
        @JsonSubTypes.Type(value = Because.ZoneFull.class, name = "zoneFull"),
        @JsonSubTypes.Type(value = Because.WholeCar.class, name = "wholeCar"),
        @JsonSubTypes.Type(value = Because.Curing.class, name = "curing"),
        @JsonSubTypes.Type(value = Because.CuresInto.class, name = "curesInto"),
        @JsonSubTypes.Type(value = Because.VendorShut.class, name = "vendorShut"),
        @JsonSubTypes.Type(value = Because.CarAway.class, name = "carAway"),
        @JsonSubTypes.Type(value = Because.Slot.class, name = "slot")
    })
    private interface Reasons {}
}
