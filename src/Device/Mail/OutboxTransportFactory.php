<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Mail;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Mailer\Exception\UnsupportedSchemeException;
use Symfony\Component\Mailer\Transport\Dsn;
use Symfony\Component\Mailer\Transport\TransportFactoryInterface;
use Symfony\Component\Mailer\Transport\TransportInterface;

/** SHED_MAIL=outbox://default is the stand-in; a real server is named there by its own address, as smtp://… */
#[AutoconfigureTag('mailer.transport_factory')]
final readonly class OutboxTransportFactory implements TransportFactoryInterface
{
    public function __construct(private Outbox $outbox)
    {
    }

    public function create(Dsn $dsn): TransportInterface
    {
        return $this->supports($dsn) ? new OutboxTransport($this->outbox) : throw new UnsupportedSchemeException($dsn, 'outbox', ['outbox']);
    }

    public function supports(Dsn $dsn): bool
    {
        return 'outbox' === $dsn->getScheme();
    }
}
