package dremsa.server.learning;

import dremsa.server.accounts.Household;
import dremsa.server.accounts.Households;
import dremsa.server.people.People;
import dremsa.server.tables.HouseholdTable;
import dremsa.server.tables.Row;
import dremsa.server.wire.Stored;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Trials that are over, for a spreadsheet; one under way is not written out, for that would tell
 * what is in its jars.
 */
@Component
class TrialTable implements HouseholdTable {
  private static final String QUERY =
      """
      select t.begun_at as begun, t.ended_at as ended, p.name as person,
        json_compact(json_remove(t.content, '$.schemaVersion')) as trial
      from section_trial t join person_name p on p.id = t.person_id
      where t.household_id = ? and t.ended_at is not null order by t.begun_at, t.id
      """;

  private static final int MOST_TEXT = 20_000;

  private final TrialRepository repository;
  private final People people;
  private final Households households;
  private final Stored stored;

  TrialTable(TrialRepository repository, People people, Households households, Stored stored) {
    this.repository = repository;
    this.people = people;
    this.households = households;
    this.stored = stored;
  }

  @Override
  public String name() {
    return "trials";
  }

  @Override
  public List<String> columns() {
    return List.of("begun", "ended", "person", "trial");
  }

  @Override
  public String query() {
    return QUERY;
  }

  @Override
  public Taking begin(UUID id, Instant now) {
    Household household = households.of(id);
    Map<String, UUID> names = people.byName(id);
    Set<String> there = new HashSet<>();
    repository
        .findByHouseholdIdOrderByBegunAtDesc(id)
        .forEach(row -> there.add(key(row.personId(), row.begunAt())));
    return row -> take(household, names, there, row, now);
  }

  private static String key(UUID person, Instant at) {
    return person + "@" + at.getEpochSecond();
  }

  private Taken take(
      Household household, Map<String, UUID> names, Set<String> there, Row row, Instant now) {
    String name = row.needed("person", 60);
    UUID person = names.get(name);
    if (person == null) {
      return Taken.leftOut("There is nobody called " + name + " here.");
    }
    Instant begun = row.past("begun", now.plusSeconds(1));
    Instant ended = row.past("ended", now.plusSeconds(1));
    TrialJson.Kept kept;
    try {
      kept = stored.read(row.needed("trial", MOST_TEXT), TrialJson.Kept.class);
      kept.toCore();
    } catch (RuntimeException e) {
      throw new Row.WrongException("trial", "Write a trial as it is written out.");
    }
    if (there.size() >= Trials.MOST) {
      return Taken.leftOut("There are " + Trials.MOST + " trials already.");
    }
    if (!there.add(key(person, begun))) {
      return Taken.THERE;
    }
    TrialRow trial = new TrialRow(household.id(), person, begun, stored.write(kept));
    trial.ended(ended);
    repository.save(trial);
    return Taken.NEW;
  }
}
