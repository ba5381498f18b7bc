package hammerman.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.SQLException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A file of an earlier version is brought up to the present one, and keeps what is in it. */
class SchemaTest {
  private static final int ID = 0x50524F42;
  private static final Schema FIRST = new Schema("probe", ID, 1);
  private static final Schema SECOND = new Schema("probe", ID, 2);

  @SuppressWarnings("NullAway.Init") // opened before every test
  private Database file;

  @BeforeEach
  void earlier() throws SQLException {
    file = Database.inMemory();
    FIRST.build(file, 0);
    file.insert("INSERT INTO reading (volts) VALUES (?)", 3.71);
  }

  @AfterEach
  void close() {
    file.close();
  }

  @Test
  void anEarlierFileIsOursAndComesUpWithAllThatIsInIt() throws SQLException {
    assertThat(SECOND.strange(file, 1)).isEmpty();
    SECOND.build(file, 1);
    assertThat(file.number("PRAGMA user_version")).isEqualTo(2);
    assertThat(file.number("PRAGMA application_id")).isEqualTo(ID);
    assertThat(SECOND.strange(file, 2)).isEmpty();
    assertThat(
            file.rows(
                r -> r.getDouble(1) + " by " + r.getString(2),
                "SELECT volts, instrument FROM reading"))
        .containsExactly("3.71 by unknown");
  }

  /** Made at once or brought up, the tables are the same; otherwise one would look strange. */
  @Test
  void aNewFileAndOneBroughtUpHaveTheSameTables() throws SQLException {
    SECOND.build(file, 1);
    try (Database made = Database.inMemory()) {
      SECOND.build(made, 0);
      assertThat(made.text("SELECT group_concat(sql) FROM sqlite_schema"))
          .isEqualTo(file.text("SELECT group_concat(sql) FROM sqlite_schema"))
          .contains("instrument");
    }
  }

  @Test
  void aFileWithMoreThanItsVersionMakesIsStrange() throws SQLException {
    file.execute("CREATE VIEW peep AS SELECT * FROM reading");
    assertThat(SECOND.strange(file, 1)).containsExactly("view “peep”");
    assertThat(SECOND.strange(file, 2))
        .as("of the later version it lacks the index and its table is another")
        .contains("index “reading_by_instrument”", "table “reading”");
  }

  @Test
  void aVersionWithoutScriptIsAFaultOfOurs() {
    Schema third = new Schema("probe", ID, 3);
    assertThatThrownBy(() -> third.build(file, 2)).hasMessageContaining("probe-3.sql");
  }
}
