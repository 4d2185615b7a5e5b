package giostra.server.people;

import giostra.core.value.Refused;
import java.time.Clock;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.webauthn.api.AuthenticatorTransport;
import org.springframework.security.web.webauthn.api.Bytes;
import org.springframework.security.web.webauthn.api.CredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutableCredentialRecord;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCose;
import org.springframework.security.web.webauthn.api.ImmutablePublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialType;
import org.springframework.security.web.webauthn.api.PublicKeyCredentialUserEntity;
import org.springframework.security.web.webauthn.management.PublicKeyCredentialUserEntityRepository;
import org.springframework.security.web.webauthn.management.UserCredentialRepository;

/**
 * Our rows, as Spring Security asks for them: what is not there yet was made, what is was shown.
 */
final class KeptPasskeys
    implements PublicKeyCredentialUserEntityRepository, UserCredentialRepository {
  private final PeopleRows rows;
  private final Clock clock;

  KeptPasskeys(PeopleRows rows, Clock clock) {
    this.rows = rows;
    this.clock = clock;
  }

  private static PublicKeyCredentialUserEntity entity(PeopleRows.Person person, String handle) {
    String address = person.address() == null ? person.name() : person.address();
    return ImmutablePublicKeyCredentialUserEntity.builder()
        .id(Bytes.fromBase64(handle))
        .name(address)
        .displayName(person.name())
        .build();
  }

  @Override
  public @Nullable PublicKeyCredentialUserEntity findById(Bytes id) {
    String handle = id.toBase64UrlString();
    return rows.handled(handle).map(person -> entity(person, handle)).orElse(null);
  }

  /** Who makes one: a device knows them by bytes that say nothing to anybody else. */
  @Override
  public @Nullable PublicKeyCredentialUserEntity findByUsername(String id) {
    rows.giveHandle(id, Secrets.drawn());
    return rows.handle(id)
        .flatMap(handle -> rows.person(id).map(person -> entity(person, handle)))
        .orElse(null);
  }

  @Override
  public void save(PublicKeyCredentialUserEntity entity) {
    throw new IllegalStateException("who it is was there before");
  }

  @Override
  public void save(CredentialRecord kept) {
    String id = kept.getCredentialId().toBase64UrlString();
    String handle = kept.getUserEntityUserId().toBase64UrlString();
    Optional<PeopleRows.Passkey> there = rows.passkey(id);
    if (there.isPresent()) {
      if (!there.get().handle().equals(handle)
          || rows.usedPasskey(id, kept.getSignatureCount(), clock.instant()) == 0) {
        throw Passkeys.refused("a copy of one that has gone on without it");
      }
      return;
    }
    String maker =
        rows.handled(handle)
            .map(PeopleRows.Person::id)
            .orElseThrow(() -> Passkeys.refused("one of somebody who is not known"));
    @Nullable Bytes attestation = kept.getAttestationObject();
    int added =
        attestation == null
            ? 0
            : rows.addPasskey(
                id,
                maker,
                kept.getLabel(),
                attestation.toBase64UrlString(),
                new Bytes(kept.getPublicKey().getBytes()).toBase64UrlString(),
                kept.getSignatureCount(),
                kept.isBackupEligible(),
                kept.isBackupState(),
                kept.getTransports().stream()
                    .map(AuthenticatorTransport::getValue)
                    .collect(Collectors.joining(",")),
                clock.instant(),
                Passkeys.MOST);
    if (added == 0) {
      throw new Refused(
          "passkey",
          "the " + (Passkeys.MOST + 1) + "st, or one that is there",
          "at most " + Passkeys.MOST + "; end one that is used no more");
    }
  }

  private static CredentialRecord read(PeopleRows.Passkey row) {
    return ImmutableCredentialRecord.builder()
        .credentialType(PublicKeyCredentialType.PUBLIC_KEY)
        .credentialId(Bytes.fromBase64(row.id()))
        .userEntityUserId(Bytes.fromBase64(row.handle()))
        .label(row.name())
        .attestationObject(Bytes.fromBase64(row.attestation()))
        .publicKey(new ImmutablePublicKeyCose(Bytes.fromBase64(row.publicKey()).getBytes()))
        .signatureCount(row.uses())
        .uvInitialized(true)
        .backupEligible(row.mayBeCopied())
        .backupState(row.isCopied())
        .transports(
            Arrays.stream(row.transports().split(","))
                .filter(each -> !each.isEmpty())
                .map(AuthenticatorTransport::valueOf)
                .collect(Collectors.toSet()))
        .created(row.madeAt())
        .build();
  }

  @Override
  public @Nullable CredentialRecord findByCredentialId(Bytes id) {
    return rows.passkey(id.toBase64UrlString()).map(KeptPasskeys::read).orElse(null);
  }

  @Override
  public List<CredentialRecord> findByUserId(Bytes id) {
    return rows.passkeys(id.toBase64UrlString()).stream().map(KeptPasskeys::read).toList();
  }

  @Override
  public void delete(Bytes id) {
    throw new IllegalStateException("a passkey is ended by whoever has it");
  }
}
