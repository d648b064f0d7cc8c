package dremsa.server.notes;

import dremsa.core.reading.Answers;
import dremsa.server.http.Problem;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The words of a household: a correction made twice is remembered. */
@Service
class OwnWords {
  /** More words nobody has of their own; the least used are not missed. */
  static final int MOST = 500;

  /** What is longer is a phrase of one note, and no word. */
  private static final int LONGEST = 96;

  private final OwnWordRepository repository;

  OwnWords(OwnWordRepository repository) {
    this.repository = repository;
  }

  /** What holds for every note. */
  @Transactional(readOnly = true)
  Map<String, String> remembered(UUID household) {
    Map<String, String> all = new LinkedHashMap<>();
    repository.findByKeyHouseholdIdOrderByKeyWord(household).stream()
        .filter(OwnWord::isRemembered)
        .forEach(word -> all.put(word.word(), word.meaning()));
    return all;
  }

  /**
   * Takes note of what was settled in a note that was kept. Amounts that are not written belong to
   * their note alone.
   */
  @Transactional
  void settled(UUID household, Map<String, String> answers, Instant now) {
    Map<String, String> words = new LinkedHashMap<>();
    answers.forEach((key, value) -> words.put(Answers.word(key), value));
    words.forEach(
        (word, value) -> {
          if (isOfOneNote(word) || word.length() > LONGEST || value.length() > 120) {
            return;
          }
          OwnWord.Key key = new OwnWord.Key(household, word);
          repository
              .findById(key)
              .ifPresentOrElse(
                  known -> known.answered(value, now),
                  () -> {
                    if (repository.countByKeyHouseholdId(household) < MOST) {
                      repository.save(new OwnWord(key, value, now));
                    }
                  });
        });
  }

  private static boolean isOfOneNote(String word) {
    return word.startsWith("howmuch:") || word.startsWith("parts") || !word.contains(":");
  }

  /** All that is remembered. */
  @Transactional(readOnly = true)
  List<OwnWord> all(UUID household) {
    return repository.findByKeyHouseholdIdOrderByKeyWord(household).stream()
        .filter(OwnWord::isRemembered)
        .toList();
  }

  /** Forgets a word. */
  @Transactional
  void forget(UUID household, String word) {
    OwnWord.Key key = new OwnWord.Key(household, word);
    if (!repository.existsById(key)) {
      throw Problem.notFound("word");
    }
    repository.deleteById(key);
  }
}
