package dremsa.server.accounts;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface AccountRepository extends JpaRepository<Account, UUID> {
  // Written out: Spring Data would read 'SignIn' as 'sign in (...)'.
  @Query("select a from Account a where a.signIn = :signIn")
  Optional<Account> findBySignIn(String signIn);
}
