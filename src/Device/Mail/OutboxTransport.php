<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Mail;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** The stand-in for a mail server: each letter becomes a file in a folder of the run folder, to be read with any mail program. */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly string $folder)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox://default';
    }

    protected function doSend(SentMessage $message): void
    {
        if (!is_dir($this->folder)) {
            mkdir($this->folder, 0o700, true);
        }
        file_put_contents(\sprintf('%s/%s-%s.eml', $this->folder, date('Ymd-His'), bin2hex(random_bytes(4))), $message->toString());
    }
}
