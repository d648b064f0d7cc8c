package dremsa.core.practice;

/**
 * Something that calls the maker away.
 *
 * @param step during which it happens
 * @param minute of the step at which it rings
 * @param grace minutes until one has to go
 * @param away minutes during which nothing can be done
 * @param words what happens
 */
public record Bell(int step, double minute, double grace, double away, String words) {
  double goesAt() {
    return minute + grace;
  }

  double backAt() {
    return goesAt() + away;
  }
}
