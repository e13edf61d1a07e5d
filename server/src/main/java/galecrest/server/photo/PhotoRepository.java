package galecrest.server.photo;

import galecrest.server.NewId;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

@Repository
class PhotoRepository {
    private final JdbcClient db;

    PhotoRepository(JdbcClient db) {
        this.db = db;
    }

    Optional<String> build(String id) {
        return db.sql("select name from build where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    List<PhotoResponse> of(String build) {
        return db.sql("""
                        select p.id, part_id, measurement_id, caption, by_name as by, at, width, height, r.photo_id is not null as released
                        from photo p left join released_photo r on r.photo_id = p.id
                        where build_id = :build and not exists (select 1 from removed_photo x where x.photo_id = p.id)
                        order by at desc, p.id""").param("build", build).query(PhotoResponse.class).list();
    }

    String insert(String build, PhotoService.Of of, String caption, Pictures.Ready picture, String by, Instant at) {
        String id = NewId.next();
        db.sql("""
                        insert into photo (id, build_id, part_id, measurement_id, caption, type, width, height, content, small, by_name, at)
                        values (:id, :build, :part, :measurement, :caption, 'image/jpeg', :width, :height, :content, :small, :by, :at)""")
                .param("id", id)
                .param("build", build)
                .param("part", of.partId())
                .param("measurement", of.measurementId())
                .param("caption", caption.strip())
                .param("width", picture.width())
                .param("height", picture.height())
                .param("content", picture.content())
                .param("small", picture.small())
                .param("by", by)
                .param("at", Timestamp.from(at))
                .update();
        return id;
    }

    Optional<String> caption(String id) {
        return db.sql("select caption from photo where id = :id")
                .param("id", id)
                .query(String.class)
                .optional();
    }

    void release(String id, boolean released) {
        db.sql(
                        released
                                ? "insert into released_photo values (:id) on conflict do nothing"
                                : "delete from released_photo where photo_id = :id")
                .param("id", id)
                .update();
    }

    void delete(String id) {
        release(id, false);
        db.sql("insert into removed_photo values (:id) on conflict do nothing")
                .param("id", id)
                .update();
    }

    Optional<PhotoService.Picture> content(String id, boolean small) {
        return picture(db.sql(
                        "select type, " + (small ? "small" : "content")
                                + " as content from photo where id = :id and not exists (select 1 from removed_photo x where x.photo_id = photo.id)")
                .param("id", id));
    }

    Optional<PhotoService.Picture> releasedContent(String build, String id, boolean small) {
        return picture(db.sql("select type, " + (small ? "small" : "content") + """
                         as content from photo p join released_photo r on r.photo_id = p.id
                        where p.id = :id and p.build_id = :build""")
                .param("id", id)
                .param("build", build));
    }

    private static Optional<PhotoService.Picture> picture(JdbcClient.StatementSpec statement) {
        return statement
                .query((row, n) -> new PhotoService.Picture(row.getString("type"), row.getBytes("content")))
                .optional();
    }
}
