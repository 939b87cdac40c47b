<?php

declare(strict_types=1);

namespace AwakeShed\App\Shed;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\OfShop;
use Doctrine\ORM\Mapping as ORM;

/** A word by which a job is found. Kept by triggers of the table of jobs. */
#[ORM\Entity]
#[ORM\Index(name: 'word_of_job', columns: ['shop_id', 'gone', 'word', 'job_id'])]
class JobWord implements BelongsToShop
{
    use OfShop;

    #[ORM\Id, ORM\Column]
    private int $jobId;

    #[ORM\Id, ORM\Column(length: 40, options: ['collation' => 'utf8mb4_bin'])]
    private string $word;

    #[ORM\Column]
    private bool $gone;
}
