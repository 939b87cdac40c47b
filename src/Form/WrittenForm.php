<?php

declare(strict_types=1);

namespace AwakeShed\App\Form;

use Symfony\Component\Form\FormView;
use Twig\Markup;

/** A form as it stands on a page: what goes between its first line and its button (_parts/written.html.twig). */
final readonly class WrittenForm
{
    /**
     * @param Markup        $carried what it carries beside its fields
     * @param FormView|null $tried   one that was sent and refused, with what is wrong with it
     */
    public function __construct(public string $name, public Markup $carried, public Markup $fields, public ?FormView $tried)
    {
    }
}
