<?php

declare(strict_types=1);

namespace AwakeShed\App\Device\Mail;

use Symfony\Component\Mailer\SentMessage;
use Symfony\Component\Mailer\Transport\AbstractTransport;

/** The stand-in for a mail server: each letter becomes a file in a folder of the run folder, to be read with any mail program. */
final class OutboxTransport extends AbstractTransport
{
    public function __construct(private readonly Outbox $outbox)
    {
        parent::__construct();
    }

    public function __toString(): string
    {
        return 'outbox://default';
    }

    protected function doSend(SentMessage $message): void
    {
        // Whose letter it is is known when it goes out.
        $folder = $this->outbox->folder();
        if (!is_dir($folder)) {
            mkdir($folder, 0o700, true);
        }
        file_put_contents(\sprintf('%s/%s-%s.eml', $folder, date('Ymd-His'), bin2hex(random_bytes(4))), $message->toString());
    }
}
