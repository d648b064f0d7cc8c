package dremsa.server.accounts;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.transaction.annotation.Transactional;

interface AccountRepository extends JpaRepository<Account, UUID> {
  // Written out: Spring Data would read 'SignIn' as 'sign in (...)'.
  @Query("select a from Account a where a.signIn = :signIn")
  Optional<Account> findBySignIn(String signIn);

  List<Account> findByHouseholdIdOrderByCalled(UUID household);

  @Modifying
  @Transactional
  @Query("update Account a set a.passwordHash = :hash where a.id = :id")
  void renewHash(UUID id, String hash);
}
